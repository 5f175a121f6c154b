import type { Unheard } from '@hardy/core/contract';
import { CAUSE_SHORT, SYMPTOM_IN_WORDS, symptomOf } from '@hardy/core/words';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { rawRows } from './catalogueRows.ts';
import { daysBetween } from './comebacks.ts';
import { judgedFor } from './learnedStore.ts';
import { docketOf } from './people.ts';
import { shopSettings } from './shopStore.ts';

/** Orders of which all that was to go has gone, and nobody said what came of it: oldest first. */
const FROM = `docket d where d.state = 'ordered' and json_array_length(d.document, '$.handed') > 0`;

/** Those orders, with what to ask of each. */
export const unheardOrders = async (
  em: EntityManager,
  limit: number,
  today: string,
): Promise<{ unheard: Unheard[]; total: number }> => {
  const days = judgedFor(await shopSettings(em)).get('learning.never-heard-after');
  const [counted] = await rawRows(em, `select count(*) as n from ${FROM}`);
  const rows = await rawRows(
    em,
    `select d.id, d.number, d.customer_name, d.phone, d.vehicle_name, d.headline, d.parts, d.document from ${FROM} order by json_extract(d.document, '$.handed[0].on'), d.number limit ?`,
    [limit],
  );
  const unheard: Unheard[] = [];
  for (const row of rows) {
    const docket = await docketOf(em, String(row.document));
    const complaints = (docket.symptoms ?? []).map((each) => SYMPTOM_IN_WORDS[symptomOf(each)]);
    const handedOn = (docket.handed ?? [])[0]?.on ?? '';
    unheard.push({
      id: String(row.id),
      number: Number(row.number),
      customerName: (row.customer_name ?? null) as string | null,
      phone: (row.phone ?? null) as string | null,
      vehicleName: (row.vehicle_name ?? null) as string | null,
      headline: String(row.headline),
      parts: (row.parts ?? null) as string | null,
      handedOn,
      late: handedOn !== '' && daysBetween(handedOn, today) > days,
      ask: [
        complaints.length > 0 ? `Is it gone: ${complaints.join(', ')}?` : 'Is the lamp out?',
        docket.chosen?.part === 'sensor' ? 'Did the old sensor come out in one piece?' : null,
        `What was really wrong (${CAUSE_SHORT.sensor}, ${CAUSE_SHORT.ring}, ${CAUSE_SHORT.wiring})?`,
      ]
        .filter(Boolean)
        .join(' '),
    });
  }
  return { unheard, total: Number(counted?.n ?? 0) };
};
