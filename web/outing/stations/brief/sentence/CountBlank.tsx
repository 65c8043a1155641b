import { Blank } from '../Blank';
import { Count } from '../editors';

/** A blank that takes a whole number. */
export function CountBlank({
  asks,
  text,
  label = asks,
  ...of
}: {
  asks: string;
  text: string;
  /** What the number is called; left out: as the blank asks. */
  label?: string;
  value: number;
  min: number;
  max: number;
  onChange: (value: number) => void;
}) {
  return (
    <Blank asks={asks} mark="," text={text}>
      {(close) => <Count label={label} {...of} onDone={close} />}
    </Blank>
  );
}
