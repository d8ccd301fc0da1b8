// The page's entry.
import "./app/nonce";
import "./index.css";
import { createRoot } from "react-dom/client";
import { App } from "./app/App";
import { followSystem } from "./app/theme";

followSystem();
const root = document.getElementById("root");
if (root) {
  createRoot(root).render(<App />);
}
