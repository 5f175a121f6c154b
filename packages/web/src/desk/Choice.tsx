import InputBase from '@mui/material/InputBase';
import NativeSelect from '@mui/material/NativeSelect';
import { FIELD_SX, type FieldLook } from './fieldLook.ts';

interface Props<V extends string> {
  value: V;
  options: ReadonlyArray<{ readonly value: V; readonly label: string }>;
  onChoice: (value: V) => void;
  look?: FieldLook;
  id?: string;
  /** Said to those who do not see what stands beside it. */
  label?: string;
  title?: string;
  fullWidth?: boolean;
  autoFocus?: boolean;
}

/**
 * One of a list. The system's own list opens: it takes the first letters typed, works on a touch screen, and keys typed
 * into it never reach the counter line.
 */
export function Choice<V extends string>({
  value,
  options,
  onChoice,
  look = 'framed',
  id,
  label,
  title,
  fullWidth = false,
  autoFocus = false,
}: Props<V>) {
  return (
    <NativeSelect
      value={value}
      autoFocus={autoFocus}
      fullWidth={fullWidth}
      input={<InputBase sx={FIELD_SX[look]} />}
      inputProps={{ id, title, ...(label && { 'aria-label': label }) }}
      onChange={(event) => onChoice(event.target.value as V)}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </NativeSelect>
  );
}

/** Options whose words are their values. */
export const plainOptions = <V extends string>(values: readonly V[]) =>
  values.map((value) => ({ value, label: value }));
