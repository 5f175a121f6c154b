import type { CatalogueVehicle } from '../../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../../vocabulary/docket.ts';
import type { Chip, IntakeReading } from '../../vocabulary/intakeReading.ts';
import { datesIn } from '../buildDate.ts';
import type { IntakeContext } from '../context.ts';
import type { SourceText } from '../sourceText.ts';

type Ask = NonNullable<IntakeReading['asks']>[number];

/** What has been read of the vehicle so far; its readers add to it one after another. */
export class VehicleReading {
  readonly vehicle: DocketVehicle = {};
  readonly chips: Chip[] = [];
  readonly asks: Ask[] = [];
  /** Its row in the catalogue, once just one fits. */
  row: CatalogueVehicle | null = null;
  readonly dates: ReturnType<typeof datesIn>;

  constructor(
    readonly source: SourceText,
    readonly context: IntakeContext,
  ) {
    this.dates = datesIn(source.text);
  }

  /** Says what a stretch of the text was taken for; it is nobody else's from now on. */
  chip(label: string, start: number, end: number, note: string | null = null): void {
    this.show({ kind: 'vehicle', label, start, end, note });
    this.source.takeRange(start, end);
  }

  /** Says something of a stretch of the text and leaves it to others. */
  show(chip: Omit<Chip, 'words'>): void {
    this.chips.push({ ...chip, words: this.source.text.slice(chip.start, chip.end) });
  }
}

/** Reads one thing of the vehicle. */
export type VehicleReader = (reading: VehicleReading) => void;
