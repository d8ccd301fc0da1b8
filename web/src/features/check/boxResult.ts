// What a box check answers.
import type { Schemas } from "@/api/client";

export type BoxResult = Schemas["BoxResult"];
