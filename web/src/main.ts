// The page's entry: what it says is loaded by what it speaks, so that is settled first.
import "@/ui/nonce";
import "./index.css";
import { speak } from "@/words/say";

document.documentElement.lang = await speak(navigator.languages);
await import("@/app/start");
