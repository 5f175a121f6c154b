import { EVENT_IN_WORDS } from '@hardy/core/words';
import { changed, wheelChoices, without, type FactListProps } from './factEdits.ts';
import { Fact } from './Fact.tsx';
import { InlineSelect, InlineText } from './Inline.tsx';

/** What was done before: where and when can be changed in place. */
export function HistoryList({ docket, advice, change, said }: FactListProps) {
  return (
    <ul className="fact-list">
      {(docket.history ?? []).map((event, i) => {
        const name = EVENT_IN_WORDS[event.event];
        return (
          <Fact
            key={`${event.event}-${i}`}
            what={name}
            said={said(`history[${i}]`)}
            onRemove={() => change(`${name} dropped`, (d) => ({ ...d, history: without(d.history, i) }))}
          >
            {name}{' '}
            {!event.event.startsWith('battery') && (
              <InlineSelect
                label={`${name}: at which wheel`}
                value={event.wheelEnd}
                none="corner in question"
                options={wheelChoices(advice)}
                onChange={(wheelEnd) =>
                  change(`${name}: wheel`, (d) => ({
                    ...d,
                    history: changed(d.history, i, (e) => ({ ...e, wheelEnd })),
                  }))
                }
              />
            )}{' '}
            <InlineText
              name={`history[${i}]`}
              label={`${name}: how many days ago`}
              value={event.daysAgo == null ? null : String(event.daysAgo)}
              placeholder="?"
              width={4}
              onChange={(text) => {
                const days = text === null ? null : Number(text.replace(',', '.'));
                if (days === null || (Number.isFinite(days) && days >= 0))
                  change(`${name}: when`, (d) => ({
                    ...d,
                    history: changed(d.history, i, (e) => ({ ...e, daysAgo: days })),
                  }));
              }}
            />
            <span className="soft">
              days ago
              {event.cured === 'for-a-while'
                ? `, good for ${event.daysUntilReturn ?? 'some'} days`
                : event.cured === 'no'
                  ? ', no change'
                  : ''}
            </span>
          </Fact>
        );
      })}
    </ul>
  );
}
