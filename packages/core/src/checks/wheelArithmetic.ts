/** Signal frequency in Hz: f = v N / C, with v in km/h, N teeth or pole pairs, C rolling circumference in m. */
export const frequencyAt = (kmh: number, teeth: number, circumference: number): number =>
  ((kmh / 3.6) * teeth) / circumference;

/** The speed in km/h at which a ring gives a frequency in Hz: v = f C / N. */
export const speedAt = (hertz: number, teeth: number, circumference: number): number =>
  ((hertz * circumference) / teeth) * 3.6;

/** Rolling circumference in metres of a tyre of `diameter` mm; `rolling` is what is left of it under load. */
export const rollingCircumference = (diameter: number, rolling: number): number =>
  (Math.PI * diameter * rolling) / 1000;

/**
 * Times by which a passive sensor's output falls when the gap widens from `from` to `to` mm: the field of a toothed
 * ring dies away as exp(-2 pi gap / pitch), with the pitch pi D / N of its teeth in mm (first harmonic of Laplace's
 * equation above a periodic surface).
 */
export const gapFactor = (from: number, to: number, ringDiameter: number, teeth: number): number =>
  Math.exp((-2 * Math.PI * (to - from) * teeth) / (Math.PI * ringDiameter));

/**
 * The lowest road speed in km/h at which a controller can read a passive sensor: its output rises with the turning
 * speed, so threshold over volts at one turn a second gives the turns a second it needs.
 */
export const lowestReadSpeed = (voltsAtOneTurn: number, threshold: number, circumference: number): number =>
  voltsAtOneTurn <= 0 ? Infinity : (threshold / voltsAtOneTurn) * circumference * 3.6;
