// What a new document of a kind begins as.
import type { Details } from "@/api/documents";
import type { InJob } from "@/documents/registry";
import { newSite } from "@/model/sites";
import { newWall } from "@/model/walls";

type Blank = { [K in InJob]: (units: "in" | "mm") => Details[K]["document"] };

export const BLANK: Blank = { wall: newWall, site: newSite };
