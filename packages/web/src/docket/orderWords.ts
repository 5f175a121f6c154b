import type { OrderLineView, OrderNext, OrderView } from '@hardy/core/contract';
import type { Docket } from '@hardy/core/words';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';

/** A day as one says it: `Mon 30 Nov`. */
export const day = (date: string): string => format(parseISO(date), 'EEE d MMM');

/** The step a taken order is at, large. */
export const NEXT_TITLE: Readonly<Record<OrderNext, string>> = {
  renew: 'Let go',
  order: 'Order it',
  wait: 'Waiting',
  call: 'Call',
  'hand-over': 'Hand over',
  prove: 'Prove it',
  closed: 'Closed',
};

/** Where the pieces of a line are. */
export const stateInWords = (line: OrderLineView): string => {
  switch (line.state) {
    case 'ready':
      return 'put aside';
    case 'handed':
      return 'handed over';
    case 'waiting':
      return `on its way${line.promised ? `, ${day(line.promised)}` : ''}${line.promisedBy ? ` says ${line.promisedBy}` : ''}`;
    case 'to-order':
      return `to be ordered${line.promised ? `; promised for ${day(line.promised)}${line.promisedBy ? ` by ${line.promisedBy}` : ''}` : ''}`;
    case 'let-go':
      return 'let go: put aside for longer than a quote holds';
    case 'not-stocked':
      return 'not of our shelf';
  }
};

const latest = ({ lines }: OrderView): string | null =>
  lines
    .flatMap(({ state, promised }) => (state === 'waiting' && promised ? [promised] : []))
    .sort()
    .at(-1) ?? null;

export const CLOSED = 'Closed. Opened again, it goes on from here.';
/** Said while the server has not answered where the pieces are. */
export const NOT_LOOKED_UP = 'Taken. What of it lies on the shelf is being looked up.';

/** What comes next once something was taken, in a sentence. */
export const nextInWords = (order: OrderView, docket: Docket): string => {
  const missing = order.lines.filter(({ state }) => state === 'to-order').length;
  switch (order.next) {
    case 'renew':
      return 'It was put aside for longer than a quote holds and let go. Put it aside again, or put it back.';
    case 'order':
      return `${missing === 1 ? 'One part is' : `${missing} parts are`} not on the shelf: order ${missing === 1 ? 'it' : 'them'}, then call when it is here.`;
    case 'wait': {
      const when = latest(order);
      return `Waiting for the supplier${when ? `, promised for ${day(when)}` : ''}. ${docket.options?.meanwhile === 'driven' ? 'Driven meanwhile with the lamp lit: longer stops.' : 'It stands meanwhile.'}`;
    }
    case 'call':
      return `All is here. Call ${docket.customer?.name ?? 'the customer'}: ${docket.customer?.phone ?? ''}.`;
    case 'hand-over':
      if (!order.lines.some(({ state }) => state === 'ready'))
        return 'Taken. Our shelf’s books know nothing of it: look where it lies, give the sheet along, hand over.';
      return 'All is put aside. Look the new part over, give the sheet along, hand over.';
    case 'prove':
      return 'Handed over. Next: hear how it went, then close the docket with what came of it.';
    case 'closed':
      return CLOSED;
  }
};
