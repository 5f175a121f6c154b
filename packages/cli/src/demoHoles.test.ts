import { describe, expect, test } from '@jest/globals';
import { advise, bareKnowledge, parseDocket, type CatalogueSlice, type CatalogueVehicle } from '@hardy/core';
import { join } from 'node:path';
import { sliceFromFolder, vehiclesFromFolder } from './sliceFromFolder.ts';

const DEMO = join(__dirname, '../../../demo');
const TODAY = '2026-11-26';

/** Every offer there is at one axle of a demo vehicle, and the sheet of each. */
const offersOf = (vehicle: CatalogueVehicle, axle: number, slice: CatalogueSlice) => {
  const knowledge = { ...bareKnowledge(TODAY), slice };
  const docket = parseDocket({
    format: 'hardy-spoke/docket',
    version: 1,
    vehicle: { catalogueId: vehicle.id, buildDate: vehicle.builtTo ?? vehicle.builtFrom },
    wheelEnd: `A${axle}L`,
    symptoms: ['lamp.abs'],
    codes: [{ code: 'C1234', module: 'ABS', wheelEnd: `A${axle}L`, status: 'active' }],
    // What is offered and what its sheet says does not follow from the plan.
    options: { assumptions: { 'plan.depth': 1 } },
  });
  const { offers } = advise(docket, knowledge);
  return offers.map((offer) => {
    const chosen = {
      part: offer.part,
      wheelEnd: offer.wheelEnd,
      priceCents: 1,
      allInMeanCents: 1,
      cures: offer.cures,
    };
    const [sheet] = advise({ ...docket, chosen }, knowledge).sheets.filter(({ kind }) => kind === 'fit');
    return {
      offer,
      sheet: sheet!,
      noted: knowledge.slice.jobs.some((job) => job.partClass === offer.part && job.axle === axle),
    };
  });
};

describe('the demo has no holes', () => {
  test('every offer of every vehicle has a part, companions, hours, torques, access and a proof', async () => {
    const vehicles = await vehiclesFromFolder(DEMO);
    expect(vehicles.length).toBeGreaterThanOrEqual(41);
    const holes: string[] = [];
    for (const vehicle of vehicles) {
      const slice = await sliceFromFolder(DEMO, vehicle.id);
      for (let axle = 1; axle <= vehicle.axles; axle++)
        for (const { offer, sheet, noted } of offersOf(vehicle, axle, slice)) {
          const at = `${vehicle.id} A${axle} ${offer.part}`;
          const has = (heading: string) =>
            sheet.sections.some(
              ({ heading: said, lines }) =>
                'say' in said && said.say === `frame/${heading}` && lines.length > 0,
            );
          // A part that no catalogue row ties to this vehicle is priced from the price book, and says so.
          if (offer.lines[0]?.partNumber && offer.lines.length < 2) holes.push(`${at}: no companion`);
          if (offer.lines[0]?.partNumber && !noted) holes.push(`${at}: no job note`);
          if (offer.labourHours <= 0) holes.push(`${at}: no hours`);
          if (sheet.torques.length === 0 && offer.part !== 'connector-kit') holes.push(`${at}: no torque`);
          for (const heading of ['access', 'tools', 'stays', 'steps', 'prove', 'moving'])
            if (!has(heading)) holes.push(`${at}: no ${heading}`);
        }
    }
    expect(holes).toEqual([]);
  }, 240_000);

  test('every supplier a part names is there, and what kits and rules name too', async () => {
    const { parts, companions } = await sliceFromFolder(DEMO, 'tol-haven-16');
    expect(parts.length).toBeGreaterThanOrEqual(1500);
    const numbers = new Set(parts.map(({ number }) => number));
    expect(companions.filter(({ companionNumber }) => !numbers.has(companionNumber))).toEqual([]);
    for (const { supplier } of parts) expect(supplier).toBeTruthy();
    expect(parts.filter(({ state }) => state === 'exchange').length).toBeGreaterThan(20);
    expect(parts.filter(({ state }) => state === 'used').length).toBeGreaterThan(20);
  });
});
