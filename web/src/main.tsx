// The page's entry.
import "@/ui/nonce";
import "./index.css";
import { createRoot } from "react-dom/client";
import { keepFocus } from "@/ui/keepFocus";
import { followSystem } from "@/ui/theme";
import { typeInFormOfItsOwn } from "@/ui/typingForm";
import { App } from "./app/App";
import { fetchScreen } from "./app/screens";
import { nameTab } from "./model/tab";

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
