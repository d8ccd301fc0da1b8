// Whose password a form is about: not shown, for what keeps a person's passwords.
import { useMemberName } from "@/features/drafts/useMemberName";

export function OwnName() {
  return <input type="text" autoComplete="username" value={useMemberName()} readOnly hidden />;
}
