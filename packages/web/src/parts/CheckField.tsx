interface CheckFieldProps {
  readonly label: string
  readonly checked: boolean
  readonly disabled?: boolean
  readonly onChange: (checked: boolean) => void
}

/** Yes or no, with its words beside it. */
export function CheckField({ label, checked, disabled = false, onChange }: CheckFieldProps) {
  return (
    <label className="flex min-h-7 items-center gap-2">
      <input
        type="checkbox"
        className="size-4 shrink-0 accent-(--thread)"
        checked={checked}
        disabled={disabled}
        onChange={event => onChange(event.target.checked)}
      />
      {label}
    </label>
  )
}
