/** The day by a clock’s own time zone, YYYY-MM-DD. */
export const localDay = (now: Date): string =>
  `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;

/** The day so many days after one, whole days begun counted: `dayAfter('2026-12-30', 1.5)` is `2027-01-01`. Days are YYYY-MM-DD. */
export const dayAfter = (day: string, days: number): string => {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + Math.ceil(days));
  return date.toISOString().slice(0, 10);
};
