// The page's entry.
import "./app/nonce";
import "./index.css";
import { createRoot } from "react-dom/client";
import { App } from "./app/App";
import { followSystem } from "./app/theme";
import { nameTab } from "./model/tab";

followSystem();
const root = document.getElementById("root");
if (root) {
  void nameTab().finally(() => createRoot(root).render(<App />));
}
