import type { SupplierOrder } from '@hardy/core/contract';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { call } from '../api/client.ts';
import { useDraft } from '../desk/useDraft.ts';
import { piecesOf, type Pieces } from './pieces.ts';
import { Piece, PiecesDialog, type OrderDialogProps } from './PiecesDialog.tsx';

interface Draft {
  /** The name of this delivery: sent twice it is booked once. */
  readonly id: string;
  readonly pieces: Readonly<Record<string, string>>;
  readonly close: boolean;
}

/** What is still expected of a part. */
const expected = ({ asked, confirmed, received }: Pieces): number =>
  Math.max(0, (confirmed ?? asked) - received);

/** What came: counted, booked to the shelf, put aside for the dockets it was ordered for. */
export function ReceiveDialog({ order, ...rest }: OrderDialogProps) {
  return order && <Receive key={order.id} order={order} {...rest} />;
}

function Receive({ order, onClose, onDone }: OrderDialogProps & { order: SupplierOrder }) {
  const [kept, setDraft] = useDraft<Draft>(`receive.${order.id}`);
  const [id] = useState(() => crypto.randomUUID());
  const draft = kept ?? { id, pieces: {}, close: false };
  const lines = piecesOf(order).filter(({ asked, received }) => asked > received);
  const save = async () => {
    await call('POST /orders/:id/receive', {
      params: { id: order.id },
      body: {
        id: draft.id,
        lines: lines.map((pieces) => ({
          partNumber: pieces.partNumber,
          quantity: Number(draft.pieces[pieces.partNumber] ?? expected(pieces)),
        })),
        close: draft.close,
      },
    });
    setDraft(null);
  };
  return (
    <PiecesDialog
      title={`What came from ${order.supplierName}, order ${order.number}?`}
      action="Book it in"
      save={save}
      onClose={onClose}
      onDone={onDone}
    >
      {lines.map((pieces, i) => {
        const { partNumber, asked, received } = pieces;
        return (
          <Piece key={partNumber} pieces={pieces}>
            <TextField
              label={`Came, of ${asked - received}`}
              type="number"
              size="small"
              autoFocus={i === 0}
              value={draft.pieces[partNumber] ?? String(expected(pieces))}
              onChange={(event) =>
                setDraft({ ...draft, pieces: { ...draft.pieces, [partNumber]: event.target.value } })
              }
              slotProps={{ htmlInput: { min: 0, max: asked - received } }}
            />
          </Piece>
        );
      })}
      <FormControlLabel
        control={
          <Checkbox
            checked={draft.close}
            onChange={(event) => setDraft({ ...draft, close: event.target.checked })}
          />
        }
        label="No more is coming: what is missing is to be ordered again"
      />
    </PiecesDialog>
  );
}
