// The page, once it is settled which language it speaks.
import { createRoot } from "react-dom/client";
import { nameTab } from "@/model/tab";
import { keepFocus } from "@/ui/keepFocus";
import { followSystem } from "@/ui/theme";
import { typeInFormOfItsOwn } from "@/ui/typingForm";
import { App } from "./App";
import { fetchScreen } from "./screens";

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
