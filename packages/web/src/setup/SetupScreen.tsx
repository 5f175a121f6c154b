import {
  changedShop,
  SCHOOL_HOLDS,
  SCHOOL_IN_WORDS,
  SCHOOLS,
  type ShopChange,
  type ShopSettings,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Desk } from '../desk/Desk.tsx';
import { useKeys } from '../desk/useKeys.ts';
import { call, problemInWords } from '../api/client.ts';
import { useTitle } from '../desk/useTitle.ts';
import { assumptionName, unitInWords } from './assumptionName.ts';
import { nameDesk, thisDesk } from '../state/thisDesk.ts';
import { BackupsPanel } from './BackupsPanel.tsx';
import { LearnedPanel } from './LearnedPanel.tsx';
import { HouseWaysPanel } from './HouseWaysPanel.tsx';
import { AssumptionTable } from './AssumptionTable.tsx';
import './setup.css';
import { Choice, plainOptions } from '../desk/Choice.tsx';
import { Field } from '../desk/Field.tsx';
import type { ShopView } from '@hardy/core/contract';

const DAILY = [
  'labour.rate',
  'tax.percent',
  'trade.discount',
  'horizon.years',
  'idle-day.cost',
  'idle-day.fleet',
  'comeback.cost',
  'quote.days',
  'return.restocking',
];

/** How often it is asked what a change turned, in milliseconds. */
const LOOK_MS = 300;

interface Change {
  readonly change: ShopChange;
  readonly isUndo: boolean;
}

/** Numbers that a change touched, as they were before it. */
const asBefore = (changed: object, before: Readonly<Record<string, number>>): Record<string, number | null> =>
  Object.fromEntries(Object.keys(changed).map((key) => [key, before[key] ?? null]));

/** The change that takes another one back. */
const undoing = (before: ShopSettings, { overrides, frozen, ...change }: ShopChange): ShopChange => ({
  ...Object.fromEntries(Object.keys(change).map((key) => [key, before[key as keyof ShopSettings]])),
  ...(overrides && { overrides: asBefore(overrides, before.overrides) }),
  ...(frozen && { frozen: asBefore(frozen, before.frozen) }),
});

/** What the shop sets for itself: its ways, and every judgement number with its reason. */
export function SetupScreen() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const shopNow = useQuery({ queryKey: ['shop'], queryFn: ({ signal }) => call('GET /shop', { signal }) });
  const assumptions = useQuery({
    queryKey: ['assumptions'],
    queryFn: ({ signal }) => call('GET /assumptions', { signal }),
    staleTime: Infinity,
  });
  const shop = shopNow.data ?? null;
  const lines = assumptions.data ?? null;
  const [past, setPast] = useState<ShopChange[]>([]);
  // One after another: each change is made on the version the one before left.
  const saving = useMutation({
    scope: { id: 'shop' },
    mutationKey: ['shop'],
    mutationFn: ({ change }: Change) =>
      call('PATCH /shop', {
        body: { version: queries.getQueryData<ShopView>(['shop'])?.version ?? 0, change },
      }),
    onMutate: ({ change }) => {
      const before = queries.getQueryData<ShopView>(['shop']);
      if (before)
        queries.setQueryData<ShopView>(['shop'], { ...changedShop(before, change), version: before.version });
      return { back: before ? undoing(before, change) : null };
    },
    onSuccess: (answer, { isUndo }, { back }) => {
      // A later change on its way is shown already: it was made on top of this one.
      queries.setQueryData<ShopView>(['shop'], (shown) =>
        shown && queries.isMutating({ mutationKey: ['shop'] }) > 1
          ? { ...shown, version: answer.version }
          : answer,
      );
      setPast((old) => (isUndo ? old.slice(0, -1) : back ? [...old, back] : old));
    },
    // What was refused is not shown as if it stood.
    onError: () => void queries.invalidateQueries({ queryKey: ['shop'] }),
  });
  const version = shop?.version ?? 0;
  const turned = useQuery({
    queryKey: ['turned', version],
    queryFn: ({ signal }) => call('GET /shop/turned', { signal }),
    enabled: saving.isSuccess,
    refetchInterval: ({ state }) => (state.data?.done && state.data.version >= version ? false : LOOK_MS),
  });
  const effect = turned.data?.version === version ? turned.data : null;
  const isDone = effect?.done === true;
  useEffect(() => {
    // The lines on the counter follow the settings.
    if (isDone) void queries.invalidateQueries({ queryKey: ['dockets'] });
  }, [isDone, version, queries]);
  const failure = saving.error ?? shopNow.error ?? assumptions.error;
  const error = failure ? problemInWords(failure) : null;
  const change = (part: ShopChange, isUndo = false) => saving.mutate({ change: part, isUndo });
  useTitle('Setup');
  const undo = () => {
    const last = past.at(-1);
    if (last) change(last, true);
  };
  useKeys({ u: undo, b: () => void navigate('/') });
  const changed = Object.entries(shop?.overrides ?? {});
  const lineOf = (key: string) => lines?.find((line) => line.key === key);
  return (
    <Desk>
      <div className="sheet setup-sheet">
        <div className="docket-head">
          <h1>Setup</h1>
          <span className="soft">
            what this shop sets for itself; every change is shown on the dockets at once
          </span>
          <span className="docket-tools">
            <Button variant="text" disabled={past.length === 0} onClick={undo}>
              undo <kbd>u</kbd>
            </Button>
            <Button variant="text" component={Link} to="/">
              counter <kbd>b</kbd>
            </Button>
          </span>
        </div>
        {error && (
          <p className="look-here gap" role="alert">
            {error}
          </p>
        )}
        {!shop || !lines ? (
          !error && <Skeleton variant="rectangular" height={420} />
        ) : (
          <div className="setup-zones">
            <div>
              <h2 className="kicker">The shop</h2>
              <dl className="vehicle-fields setup-fields">
                <div>
                  <dt>Name</dt>
                  <dd>
                    <Field
                      label="Name of the shop"
                      defaultValue={shop.name}
                      key={shop.name}
                      onBlur={(event) =>
                        event.target.value !== shop.name && change({ name: event.target.value })
                      }
                    />
                  </dd>
                </div>
                <div>
                  <dt>School</dt>
                  <dd>
                    <Choice
                      label="School of the shop"
                      value={shop.school}
                      onChoice={(school) => change({ school })}
                      options={SCHOOLS.map((school) => ({ value: school, label: SCHOOL_IN_WORDS[school] }))}
                    />
                    <p className="soft">{SCHOOL_HOLDS[shop.school]}</p>
                  </dd>
                </div>
                <div>
                  <dt>Traffic keeps</dt>
                  <dd>
                    <Choice
                      label="Side of the road"
                      value={shop.trafficSide}
                      onChoice={(trafficSide) => change({ trafficSide })}
                      options={plainOptions(['left', 'right'] as const)}
                    />
                  </dd>
                </div>
                <div>
                  <dt>Currency</dt>
                  <dd>
                    <Field
                      label="Currency, three letters"
                      defaultValue={shop.currency}
                      key={shop.currency}
                      size={4}
                      onBlur={(event) =>
                        event.target.value !== shop.currency &&
                        change({ currency: event.target.value.toUpperCase() })
                      }
                    />
                  </dd>
                </div>
                <div>
                  <dt>Phone</dt>
                  <dd>
                    <Field
                      label="Phone that customers call with a result"
                      defaultValue={shop.phone ?? ''}
                      key={shop.phone}
                      onBlur={(event) =>
                        event.target.value.trim() !== (shop.phone ?? '') &&
                        change({ phone: event.target.value.trim() || null })
                      }
                    />
                  </dd>
                </div>
                <div>
                  <dt>This desk</dt>
                  <dd>
                    <Field
                      label="Name of this desk, kept in this browser"
                      defaultValue={thisDesk() ?? ''}
                      onBlur={(event) => nameDesk(event.target.value)}
                    />
                  </dd>
                </div>
              </dl>
              <HouseWaysPanel shop={shop} onChange={change} />
              <h2 className="kicker">Backups</h2>
              <BackupsPanel />
              <h2 className="kicker">What the last change did</h2>
              {effect === null && <p className="none">nothing changed yet</p>}
              {effect?.turned.length === 0 && (
                <p className="soft">No answer on the counter turned ({effect.looked} dockets looked at).</p>
              )}
              <ul className="turned" aria-live="polite">
                {effect?.turned.map((docket) => (
                  <li key={docket.id}>
                    <Link to={`/docket/${docket.id}`}>Docket {docket.number}</Link>
                    <p className="soft">was: {docket.before}</p>
                    <p>now: {docket.after}</p>
                  </li>
                ))}
              </ul>
              <h2 className="kicker">Changed from the defaults</h2>
              {changed.length === 0 && <p className="none">nothing</p>}
              <ul>
                {changed.map(([key, value]) => (
                  <li key={key}>
                    {assumptionName(key)}: {value}{' '}
                    <span className="soft">
                      was {lineOf(key)?.value} {unitInWords(lineOf(key)?.unit ?? '', shop.currency)}
                    </span>
                  </li>
                ))}
              </ul>
              {changed.length > 0 && (
                <Button
                  onClick={() =>
                    change({ overrides: Object.fromEntries(changed.map(([key]) => [key, null])) })
                  }
                >
                  All back to the defaults
                </Button>
              )}
            </div>
            <div className="setup-numbers">
              <LearnedPanel
                on={shop.learning}
                version={version}
                onTurn={(learning) => change({ learning })}
                onFreeze={(name, value) => change({ frozen: { [name]: value } })}
              />
              <AssumptionTable
                lines={lines}
                overrides={shop.overrides}
                daily={DAILY}
                currency={shop.currency}
                onChange={(key, value) => change({ overrides: { [key]: value } })}
              />
            </div>
          </div>
        )}
      </div>
    </Desk>
  );
}
