interface Props {
  readonly label: string;
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean, withShift: boolean) => void;
}

/** A box to tick on a list; a fingertip wide where fingers are used. */
export function TickBox({ label, isOn, onChange }: Props) {
  return (
    <label className="flex min-h-9 min-w-8 shrink-0 cursor-pointer items-center justify-center pointer-coarse:min-h-11 pointer-coarse:min-w-11">
      <input
        type="checkbox"
        className="size-4 accent-chosen"
        aria-label={label}
        checked={isOn}
        onChange={(e) => onChange(e.target.checked, (e.nativeEvent as MouseEvent).shiftKey)}
      />
    </label>
  );
}
