import { askJson } from '../wire/askJson.ts';
import { DeviceTrouble } from '../wire/deviceTrouble.ts';
import {
  SupplierAnswer,
  SupplierCatalogue,
  SupplierStock,
  type SupplierWireOrder,
} from './supplierMessages.ts';

/** A supplier that can be asked by wire. All calls throw DeviceTrouble with a sentence to show. */
export interface SupplierService {
  catalogue(): Promise<SupplierCatalogue>;
  stock(partNumber: string): Promise<SupplierStock>;
  /** Sends an order; asked again once where the answer did not come, since an order sent twice is one. */
  order(order: SupplierWireOrder): Promise<SupplierAnswer>;
}

const NAME = 'supplier';

/** An answer that tells a line twice alike says it once; two that differ are no answer. */
const onceEach = (answer: SupplierAnswer): SupplierAnswer => {
  const lines = new Map<string, SupplierAnswer['lines'][number]>();
  for (const line of answer.lines) {
    const known = lines.get(line.partNumber);
    if (known && JSON.stringify(known) !== JSON.stringify(line))
      throw new DeviceTrouble(
        'garbage',
        `The ${NAME} says two things of ${line.partNumber}. Ask by phone what is coming.`,
      );
    lines.set(line.partNumber, line);
  }
  return { ...answer, lines: [...lines.values()] };
};

/** What was answered must be about what was ordered: else nothing of it may be booked. */
const isAbout = (answer: SupplierAnswer, order: SupplierWireOrder): boolean =>
  answer.id === order.id &&
  answer.lines.length === order.lines.length &&
  order.lines.every(({ partNumber, quantity }) =>
    answer.lines.some(
      (line) =>
        line.partNumber === partNumber &&
        line.ordered === quantity &&
        line.coming + line.backOrdered <= quantity,
    ),
  );

export const supplierAt = (url: string, withinMs = 4000): SupplierService => {
  const put = (order: SupplierWireOrder) =>
    askJson({ name: NAME, url: `${url}/orders`, answer: SupplierAnswer, body: order, withinMs });
  return {
    catalogue: () => askJson({ name: NAME, url: `${url}/catalogue`, answer: SupplierCatalogue, withinMs }),
    stock: async (partNumber) => {
      const answer = await askJson({
        name: NAME,
        url: `${url}/stock?partNumber=${encodeURIComponent(partNumber)}`,
        answer: SupplierStock,
        withinMs,
      });
      if (answer.partNumber !== partNumber)
        throw new DeviceTrouble(
          'garbage',
          `The ${NAME} was asked for ${partNumber} and told of another part.`,
        );
      return answer;
    },
    async order(order) {
      const answer = await put(order).catch((error: unknown) => {
        // Whether it was booked nobody knows: under its id it can be asked again.
        if (error instanceof DeviceTrouble && (error.kind === 'silent' || error.kind === 'unreachable'))
          return put(order);
        throw error;
      });
      const once = onceEach(answer);
      if (!isAbout(once, order))
        throw new DeviceTrouble(
          'garbage',
          `The ${NAME} confirms another order than was sent. Nothing was booked; ask by phone.`,
        );
      return once;
    },
  };
};
