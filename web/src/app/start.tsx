// The page, once it is settled which language it speaks.
import { createRoot } from "react-dom/client";
import { standsIn } from "@/api/reaching";
import { nameTab } from "@/model/tab";
import { installAtRest } from "@/pocket/install";
import { keepFocus } from "@/ui/keepFocus";
import { followSystem } from "@/ui/theme";
import { typeInFormOfItsOwn } from "@/ui/typingForm";
import { App } from "./App";
import { fetchScreen } from "./screens";

standsIn(async () => (await import("@/pocket/standIn")).standIn);
installAtRest();
followSystem();
keepFocus();
typeInFormOfItsOwn();
const root = document.getElementById("root");
if (root) {
  const ready = Promise.allSettled([nameTab(), fetchScreen(location.pathname)]);
  void ready.then(() => {
    createRoot(root).render(<App />);
    void fetchScreen("/runs/1"); // where most people go next
  });
}
