import Papa from 'papaparse';
import type { LedgerEntry } from '../vocabulary/ledgerEntry.ts';

const COLUMNS: ReadonlyArray<readonly [heading: string, of: (entry: LedgerEntry) => string | number | null]> =
  [
    ['docket', ({ docket }) => docket],
    ['sold on', ({ soldOn }) => soldOn],
    ['closed on', ({ closedOn }) => closedOn],
    ['vehicle line', ({ lineName, line }) => lineName ?? line],
    ['wheel end', ({ wheelEnd }) => wheelEnd],
    ['parts', ({ parts }) => parts.join(' ')],
    ['part number', ({ partNumber }) => partNumber],
    ['tier', ({ tier }) => tier],
    ['supplier', ({ supplier }) => supplier],
    ['batch', ({ batch }) => batch],
    ['desk', ({ desk }) => desk],
    ['advised', ({ said }) => said && (said.part ?? said.action)],
    ['followed', ({ followed }) => (followed === null ? null : followed ? 'yes' : 'no')],
    ['said to cure, %', ({ said }) => said && Math.round(said.cures * 100)],
    ['result', ({ result }) => result],
    ['cured first time', ({ firstTime }) => (firstTime === null ? null : firstTime ? 'yes' : 'no')],
    ['cause', ({ cause }) => cause],
    ['known by', ({ told }) => told],
    ['place', ({ at }) => at],
    ['snapped', ({ seizure }) => seizure && (seizure.snapped ? 'yes' : 'no')],
    ['bad from the box', ({ badFromBox }) => badFromBox],
    ['returned', ({ returned }) => returned],
    ['hours', ({ hours }) => hours],
    ['spent', ({ spentCents }) => (spentCents === null ? null : (spentCents / 100).toFixed(2))],
    ['margin', ({ marginCents }) => (marginCents === null ? null : (marginCents / 100).toFixed(2))],
    ['minutes at the counter', ({ minutes }) => (minutes === null ? null : Math.round(minutes))],
  ];

/** The ledger for a spreadsheet, a line a closed docket; what a sheet would take for a formula is told as text. */
export const ledgerCsv = (entries: readonly LedgerEntry[]): string =>
  Papa.unparse(
    {
      fields: COLUMNS.map(([heading]) => heading),
      data: entries.map((entry) => COLUMNS.map(([, of]) => of(entry))),
    },
    { escapeFormulae: true, newline: '\r\n' },
  );
