/** Told on the window when a scan was taken: its characters were no words, and the next key may be a command. */
export const SCANNED = 'hardy:scanned';
