// The golden plan that the core is held to as well: for tests of what is drawn from a plan.
import golden from "../../../contracts/golden/press-hall.plan.json";
import type { Plan } from "./document";

export const GOLDEN = golden as unknown as Plan;
