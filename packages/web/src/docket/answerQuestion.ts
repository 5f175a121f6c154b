import type { Check, Docket, Question, Symptom, WheelEnd } from '@hardy/core/words';
import { changed } from './factEdits.ts';

/** The docket with one question answered. What was said before stays; only the gap is filled. */
export const answerQuestion = (
  docket: Docket,
  about: Question['about'],
  value: string,
  corner: WheelEnd | null,
): Docket => {
  const vehicle = docket.vehicle ?? {};
  const reading = /^reading:(\d+)$/.exec(about);
  if (reading)
    return {
      ...docket,
      checks: changed(docket.checks, Number(reading[1]), () => JSON.parse(value) as Check),
    };
  const doubt = /^doubt:(\d+)$/.exec(about);
  if (doubt) {
    const { check, symptom } = JSON.parse(value) as { check?: Check; symptom?: Symptom };
    return {
      ...docket,
      ...(check ? { checks: [...(docket.checks ?? []), check] } : {}),
      ...(symptom ? { symptoms: [...(docket.symptoms ?? []), symptom] } : {}),
      doubts: (docket.doubts ?? []).filter((_, i) => i !== Number(doubt[1])),
    };
  }
  switch (about) {
    case 'wheelEnd':
      return { ...docket, wheelEnd: value };
    case 'steeringSide':
    case 'trafficSide':
      return { ...docket, vehicle: { ...vehicle, [about]: value as 'left' | 'right' } };
    case 'side':
    case 'axle':
      return {
        ...docket,
        positions: (docket.positions ?? []).map((p) =>
          p.needs === about ? { ...p, text: `${p.text} ${about === 'axle' ? `axle ${value}` : value}` } : p,
        ),
      };
    case 'sensor':
    case 'mounting':
    case 'target':
    case 'ringSoldAlone': {
      const axle = (corner ?? 'A1').slice(0, 2);
      const known = vehicle.wheelEnds ?? {};
      return {
        ...docket,
        vehicle: {
          ...vehicle,
          wheelEnds: {
            ...known,
            [axle]: { ...known[axle], [about]: about === 'ringSoldAlone' ? value === 'true' : value },
          },
        },
      };
    }
    case 'codesCleared':
      return { ...docket, codesCleared: value === 'true' };
    case 'buildDate':
      return { ...docket, vehicle: { ...vehicle, buildDate: value } };
    case 'vehicle':
    case 'tyres':
      return docket;
    default:
      // What splits the fitment is kept by its own name.
      return { ...docket, vehicle: { ...vehicle, attributes: { ...vehicle.attributes, [about]: value } } };
  }
};
