import type { SxProps } from '@mui/material/styles';

/** A field with a frame, or text that is edited where it stands and shows its frame when one points at it. */
export type FieldLook = 'framed' | 'in-text';

const INNER = {
  font: 'inherit',
  '& .MuiInputBase-input': {
    p: 0,
    height: 'auto',
    minHeight: 0,
    '&::placeholder': { color: 'var(--soft)', opacity: 1 },
  },
  '& .MuiNativeSelect-select.MuiInputBase-input': { pr: '18px' },
  '& .MuiNativeSelect-icon': { fontSize: 16, right: 0, top: 'calc(50% - 8px)', color: 'var(--soft)' },
  '&.Mui-focused': { outline: '2px solid var(--signal)', outlineOffset: '1px' },
  '& :focus-visible': { outline: 'none', background: 'none' },
} as const;

export const FIELD_SX: Readonly<Record<FieldLook, SxProps>> = {
  framed: {
    ...INNER,
    px: '6px',
    py: '3px',
    border: '1px solid var(--soft)',
    borderRadius: '3px',
    background: 'var(--paper-light)',
    '&.Mui-error': { border: '2px solid var(--signal)' },
  },
  'in-text': {
    ...INNER,
    px: '4px',
    py: '2px',
    ml: '-4px',
    border: '1px solid transparent',
    borderRadius: '2px',
    '&:hover, &.Mui-error': { borderColor: 'var(--hairline)' },
  },
};
