// Stands in for the server: the core in the page works things out, what it answered is kept, and what
// is changed waits here until it is there again.
import { isAway, type StandIn } from "@/api/reaching";
import { memberName } from "@/api/token";
import { changedHere, ofMadeRun } from "./changedHere";
import { fromKept } from "./fromKept";
import { lookForServer, serverAnswered, tryHome } from "./home";
import { isDocument, isWorthKeeping, keepAnswer } from "./keptAnswers";
import { renewKeptJobs } from "./keptJobs";
import { isComputed, isWarm, workedOut } from "./workedOut";

export const standIn: StandIn = {
  isQuick: (request) => isWarm() && isComputed(request),
  answer: async (request) => {
    if (isAway()) {
      lookForServer();
    }
    if (isComputed(request)) {
      return (await workedOut(request.clone())) ?? fromKept(request);
    }
    const made = await ofMadeRun(request);
    return made ?? (request.method === "GET" ? fromKept(request) : changedHere(request));
  },
  heard: (request, response) => {
    serverAnswered();
    const { pathname, search } = new URL(request.url);
    if (isToldWith(request.method, pathname)) {
      void response
        .text()
        .then((text) => keepAnswer(memberName(), `${pathname}${search}`, text))
        .catch(() => undefined)
        // Whoever has signed in may have left something here.
        .then(() => (pathname === "/api/session" ? tryHome() : null));
    }
  },
};

/** Whether an answer is what its address will answer: of a save as of a look, and of signing in. */
function isToldWith(method: string, path: string): boolean {
  switch (method) {
    case "GET":
      return isWorthKeeping(path);
    case "PUT":
      return isDocument(path);
    default:
      return method === "POST" && path === "/api/session";
  }
}

// What was left waiting when the page was closed.
if (!isAway()) {
  tryHome();
  void renewKeptJobs().catch(() => undefined);
}
