// Whose drafts are kept: the member who is signed in.
import { useSession } from "@/api/queries";

export function useMemberName(): string {
  return useSession().data?.member?.username ?? "";
}
