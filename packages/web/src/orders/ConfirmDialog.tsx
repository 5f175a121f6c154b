import type { SupplierOrder } from '@hardy/core/contract';
import TextField from '@mui/material/TextField';
import { call } from '../api/client.ts';
import { useDraft } from '../desk/useDraft.ts';
import { piecesOf } from './pieces.ts';
import { Piece, PiecesDialog, type OrderDialogProps } from './PiecesDialog.tsx';

interface Draft {
  readonly by: string;
  readonly pieces: Readonly<Record<string, string>>;
  readonly on: Readonly<Record<string, string>>;
}
const NOTHING: Draft = { by: '', pieces: {}, on: {} };

/** What the supplier said: how many of each are coming, when, and who said so. */
export function ConfirmDialog({ order, ...rest }: OrderDialogProps) {
  return order && <Confirm key={order.id} order={order} {...rest} />;
}

function Confirm({ order, onClose, onDone }: OrderDialogProps & { order: SupplierOrder }) {
  const [kept, setDraft] = useDraft<Draft>(`confirm.${order.id}`);
  const draft = kept ?? NOTHING;
  const lines = piecesOf(order);
  const save = async () => {
    await call('POST /orders/:id/confirm', {
      params: { id: order.id },
      body: {
        by: draft.by.trim(),
        lines: lines.map(({ partNumber, asked, confirmed }) => ({
          partNumber,
          quantity: Number(draft.pieces[partNumber] ?? confirmed ?? asked),
          promised: draft.on[partNumber] || null,
        })),
      },
    });
    setDraft(null);
  };
  return (
    <PiecesDialog
      title={`What did ${order.supplierName} say?`}
      action="Write it down"
      save={save}
      onClose={onClose}
      onDone={onDone}
    >
      <TextField
        label="Who said so"
        value={draft.by}
        required
        autoFocus
        fullWidth
        margin="dense"
        onChange={(event) => setDraft({ ...draft, by: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 120 } }}
      />
      {lines.map((pieces) => {
        const { partNumber, asked, confirmed } = pieces;
        return (
          <Piece key={partNumber} pieces={pieces}>
            <TextField
              label={`Coming, of ${asked}`}
              type="number"
              size="small"
              value={draft.pieces[partNumber] ?? String(confirmed ?? asked)}
              onChange={(event) =>
                setDraft({ ...draft, pieces: { ...draft.pieces, [partNumber]: event.target.value } })
              }
              slotProps={{ htmlInput: { min: 0, max: asked } }}
            />
            <TextField
              label="On"
              type="date"
              size="small"
              value={draft.on[partNumber] ?? ''}
              onChange={(event) =>
                setDraft({ ...draft, on: { ...draft.on, [partNumber]: event.target.value } })
              }
              slotProps={{ inputLabel: { shrink: true } }}
            />
          </Piece>
        );
      })}
    </PiecesDialog>
  );
}
