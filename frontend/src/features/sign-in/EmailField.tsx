import { say } from "../../lib/say";
import { Field } from "../../ui/Field";

/** By which somebody signs in: the first field of its form. */
export function EmailField({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  return (
    <Field
      label={say("signInPage.email")}
      type="email"
      autoComplete="username"
      value={value}
      onChange={onChange}
      isRequired
      autoFocus
    />
  );
}
