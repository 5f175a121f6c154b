import { assumptionsWith, parseDocket } from '@hardy/core';
import { readCodes } from '../packages/core/src/codes/readCodes.ts';
import { architectureGroups } from '../packages/core/src/diagnosis/architecture.ts';
import { sensedEnds } from '../packages/core/src/diagnosis/sensedEnd.ts';
import { SHARED_STATES } from '../packages/core/src/diagnosis/endTable.ts';
import { endTables } from '../packages/core/src/diagnosis/endTables.ts';
import { gatherEvidence } from '../packages/core/src/diagnosis/evidence/gatherEvidence.ts';
import { posterior } from '../packages/core/src/diagnosis/posterior.ts';
import { fullDocket } from './fullDocket.ts';
import { measure, type Timing } from './measure.ts';

const TODAY = '2026-11-25';

/**
 * The posterior of the full docket as the application works it out, and the same by plain enumeration of every
 * combination of states of the four wheel ends: both from the same tables, so that only the summing differs.
 */
export const posteriorTimes = (): { exact: Timing; plain: number; combinations: number } => {
  const a = assumptionsWith();
  const docket = parseDocket(fullDocket);
  const vehicle = docket.vehicle ?? {};
  const codes = readCodes(docket.codes ?? [], {
    steeringSide: 'left',
    trafficSide: 'right',
    axles: 2,
    trailer: false,
    dictionary: null,
    entries: [],
    centreAxles: new Set(),
    namedCorner: 'A2L',
  });
  const groups = architectureGroups(vehicle, 2, new Set(), a);
  const ends = sensedEnds(groups, 2);
  const evidence = gatherEvidence(docket, codes, 'A2L', { axles: 2, names: { axles: 2 }, ends, a });
  const exact = measure(() => posterior(groups, evidence, vehicle, TODAY, a), 40);

  const memo = endTables();
  const tables = groups.flatMap((group) =>
    group.ends.map((end) => memo.table(end, group.options[0]!.architecture, evidence, [], vehicle, TODAY, a)),
  );
  const began = performance.now();
  let total = 0;
  let combinations = 0;
  const silentOf = tables.map((table) =>
    evidence.complaints.map((complaint) =>
      table.states.map((state) =>
        state.reduce((p, cause) => p * (1 - complaint.brings(cause, table.end)), 1),
      ),
    ),
  );
  SHARED_STATES.forEach((shared, s) => {
    const sharedSilent = evidence.complaints.map((complaint) =>
      shared.reduce((p, cause) => p * (1 - complaint.brings(cause, null)), 1 - complaint.leak),
    );
    const walk = (e: number, weight: number, silent: readonly number[]): void => {
      const table = tables[e];
      if (!table) {
        combinations++;
        total += silent.reduce((p, q) => p * (1 - q), weight);
        return;
      }
      const weights = table.weights[s]?.[0];
      for (let t = 0; t < table.states.length; t++)
        walk(
          e + 1,
          weight * (weights?.[t] ?? 0),
          silent.map((q, g) => q * (silentOf[e]?.[g]?.[t] ?? 1)),
        );
    };
    walk(0, 1, sharedSilent);
  });
  if (!(total > 0)) throw new Error('the enumeration found nothing possible');
  return { exact, plain: performance.now() - began, combinations };
};
