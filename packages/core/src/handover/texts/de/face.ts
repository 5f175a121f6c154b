import type { face as en } from '../en/face.ts';
import type { Told } from '../told.ts';

export const face: Told<typeof en> = {
  why: 'Etwas hat an ihr geschliffen. Erst die Ursache finden, sonst geschieht es dem neuen Teil auch.',
  look: 'Am Rad rütteln: Spiel? Das Geberrad von Hand einmal ganz drehen: Schlag, Rostaufwurf, verrutschter Ring, Metall darauf. Den Sitz ansehen: Rost unter der Auflage hebt oder kippt den Sensor.',
  never:
    'Er kommt nicht wieder hinein, auch nicht mit neuem Ring: Wicklung oder Chip können unterbrochen sein.',
};
