/** One newton metre in pound-force feet (exact to six places; NIST SP 811). */
const LB_FT_PER_NM = 0.737562;

/** A figure written in metric units, in imperial ones: `70 Nm + 60 deg` is `52 lb ft + 60 deg`. Other words stay. */
export const inImperial = (figure: string): string =>
  figure.replace(/(\d+(?:\.\d+)?)\s*Nm/g, (_, newtonMetres: string) => {
    const poundFeet = Number(newtonMetres) * LB_FT_PER_NM;
    return `${poundFeet < 20 ? poundFeet.toFixed(1) : Math.round(poundFeet)} lb ft`;
  });
