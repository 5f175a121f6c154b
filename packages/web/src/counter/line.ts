/** The counter line on the screen, if there is one. */
let field: HTMLTextAreaElement | HTMLInputElement | null = null;
/** Words came while there was no line: the next one takes the focus. */
let wanted = false;

let lineWent = (): boolean => false;

/** Calls `act` whenever a line leaves the screen; it answers whether words are being typed that go on elsewhere. */
export const whenLineGoes = (act: () => boolean): void => {
  lineWent = act;
};

/** Words were sent from the line and another line may take its place at any moment: a key must not fall between. */
let handing = false;

export const isHandingOver = (): boolean => handing;

/** Words are on their way, or they arrived and this line stays. */
export const setHandingOver = (under: boolean): void => {
  handing = under;
};

/** A line leaves the screen. Answers whether what stands in it goes on to the line that comes next. */
export const lineGoes = (): boolean => {
  const goesOn = lineWent();
  return handing || goesOn;
};

const take = (line: HTMLTextAreaElement | HTMLInputElement): void => {
  line.focus();
  line.setSelectionRange(line.value.length, line.value.length);
};

/** Whether an element is the line itself. */
export const isLine = (element: EventTarget | null): boolean => field !== null && element === field;

export const hasLine = (): boolean => field?.isConnected === true;

/** Puts the focus at the end of the line. False where there is none: the next line that comes takes it. */
export const focusLine = (): boolean => {
  if (!field?.isConnected) {
    wanted = true;
    return false;
  }
  take(field);
  return true;
};

/** A counter line came on the screen; what it returns takes it away. */
export const lineCame = (line: HTMLTextAreaElement | HTMLInputElement): (() => void) => {
  field = line;
  handing = false;
  if (wanted) take(line);
  wanted = false;
  return () => {
    if (field === line) field = null;
  };
};
