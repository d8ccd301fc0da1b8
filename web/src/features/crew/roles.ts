// What each role of a crew is called, and does.
import type { Role } from "@/api/crew";
import { say } from "@/words/say";

export const ROLES: readonly {
  readonly role: Role;
  readonly name: string;
  readonly does: string;
}[] = [
  { role: "planner", name: say("Planner"), does: say("Plans, checks and bends.") },
  {
    role: "bender",
    name: say("Bender"),
    does: say("Bends, ticks and measures; plans stay as they are."),
  },
  { role: "inspector", name: say("Inspector"), does: say("Sees everything, changes nothing.") },
  { role: "lead", name: say("Lead"), does: say("All of that, and says who is in the crew.") },
];

export function roleName(role: Role): string {
  return ROLES.find((each) => each.role === role)?.name ?? role;
}
