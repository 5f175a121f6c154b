import InputBase, { type InputBaseProps } from '@mui/material/InputBase';
import { FIELD_SX, type FieldLook } from './fieldLook.ts';

interface Props extends Pick<
  InputBaseProps,
  | 'id'
  | 'value'
  | 'defaultValue'
  | 'placeholder'
  | 'autoFocus'
  | 'className'
  | 'inputMode'
  | 'fullWidth'
  | 'onBlur'
  | 'onKeyDown'
> {
  look?: FieldLook;
  /** Said to those who do not see what stands beside it. */
  label?: string;
  /** Width in characters. */
  size?: number;
  bad?: boolean;
  describedBy?: string;
  onText?: (text: string) => void;
}

/** One line of text or a number to be typed. */
export function Field({
  look = 'framed',
  label,
  size,
  bad = false,
  describedBy,
  inputMode,
  onText,
  ...rest
}: Props) {
  return (
    <InputBase
      {...rest}
      error={bad}
      sx={FIELD_SX[look]}
      {...(onText && { onChange: (event) => onText(event.target.value) })}
      slotProps={{
        input: {
          ...(label && { 'aria-label': label }),
          ...(describedBy && { 'aria-describedby': describedBy }),
          ...(inputMode && { inputMode }),
          ...(size && { size, style: { width: `${size + 1.5}ch` } }),
        },
      }}
    />
  );
}
