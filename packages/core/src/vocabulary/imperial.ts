/** One newton metre in pound-force feet (exact to six places; NIST SP 811). */
const LB_FT_PER_NM = 0.737562;

/** A figure written in metric units, in imperial ones: `70 Nm + 60 deg` is `52 lb ft + 60 deg`. Other words stay. */
export const inImperial = (figure: string): string =>
  figure.replace(/(\d+(?:\.\d+)?)\s*Nm/g, (_, newtonMetres: string) => {
    const poundFeet = Number(newtonMetres) * LB_FT_PER_NM;
    return `${poundFeet < 20 ? poundFeet.toFixed(1) : Math.round(poundFeet)} lb ft`;
  });

/** Below this a wrench for it is marked in pound-force inches. */
const SMALL_NM = 20;
const IN_PER_FT = 12;

/**
 * A tightening figure as every wrench has it: `9 Nm` is `9 N m \u00B7 6.6 lb ft \u00B7 80 lb in`, `70 Nm + 60 deg` is
 * `70 N m (52 lb ft) + 60\u00B0`. Other words stay.
 */
export const inEveryUnit = (figure: string): string =>
  figure
    .replace(/(\d+(?:\.\d+)?)\s*Nm/g, (whole, newtonMetres: string) => {
      const inches = Math.round(Number(newtonMetres) * LB_FT_PER_NM * IN_PER_FT);
      return Number(newtonMetres) < SMALL_NM
        ? `${newtonMetres} N m \u00B7 ${inImperial(whole)} \u00B7 ${inches} lb in`
        : figure.includes('+')
          ? `${newtonMetres} N m (${inImperial(whole)})`
          : `${newtonMetres} N m \u00B7 ${inImperial(whole)}`;
    })
    .replace(/(\d+)\s*deg\b/g, '$1\u00B0');
