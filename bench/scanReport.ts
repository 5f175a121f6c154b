/** A scan report of about `bytes` characters in mixed layouts, the same at every call. */
export const scanReport = (bytes: number): string => {
  const modules = ['ABS', 'Park brake', 'Transfer case', 'Camera', 'Engine', 'Gearbox', 'Airbag', 'Doors'];
  const lines: string[] = [];
  let size = 0;
  for (let i = 0; size < bytes; i++) {
    const n = (i * 7919) % 4096;
    const hex = n.toString(16).toUpperCase().padStart(3, '0');
    const line = [
      `\n[${modules[i % modules.length]}]`,
      `U0${hex}-81  Invalid data received from anti-lock controller  stored`,
      `Doors;B1${hex};Window lifter implausible signal;history`,
      `Page ${i} of many, printed ${i % 28} November, operator 12`,
      `ABS\tC0${hex}-13\tRear left wheel speed sensor circuit open\tactive`,
      'The customer says the light came on after the new tyre, front right is fine.',
    ][i % 6] as string;
    lines.push(line);
    size += line.length + 1;
  }
  return lines.join('\n');
};
