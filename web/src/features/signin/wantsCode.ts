// Whether what was refused was the second factor, the password being the right one.
import { Refused } from "@/api/client";

export function wantsCode(error: Error | null): boolean {
  return error instanceof Refused && (error.problem.code ?? "").startsWith("second-factor");
}
