// The only door to the server: typed by the contract, bounded in time, its refusals told apart.
import createClient, { type Middleware } from "openapi-fetch";
import { say } from "@/words/say";
import { expectedInWords } from "./inWords";
import type { components, paths } from "./schema";
import { send } from "./token";

export type Schemas = components["schemas"];
export type Problem = Schemas["Problem"];

const withLimit: Middleware = {
  onRequest({ request }) {
    const limit = AbortSignal.timeout(LONGEST_MS);
    return new Request(request, { signal: AbortSignal.any([request.signal, limit]) });
  },
};

export const client = createClient<paths>({ baseUrl: "/", fetch: send });
client.use(withLimit);

/** What the server refused, with its problem; `status` 0 says that it was not reached. */
export class Refused extends Error {
  readonly status: number;
  readonly problem: Problem;

  constructor(status: number, problem: Problem) {
    super(sentence(problem));
    this.status = status;
    this.problem = problem;
  }
}

/** Of one field, its place in words; else as the server says it. */
function sentence({ message, errors }: Problem): string {
  const [only, ...others] = errors;
  return only && others.length === 0 ? `${expectedInWords(only.path, only.expected)}.` : message;
}

export const UNREACHED: Problem = {
  code: "offline",
  message: say("The server can't be reached."),
  errors: [],
};

/** An answer that is no problem of Yarrow's own: it failed, or something between answered. */
export function unexpected(response: Response): Problem {
  const number = response.headers.get("X-Request-Number");
  const quote = number ? say(" Quote number {number}.", { number }) : "";
  const failed = response.status >= 500;
  const message = failed
    ? say("Yarrow failed on this; what you typed is kept.{quote}", { quote })
    : say("The server answered in a way that was not expected ({status}).{quote}", {
        status: response.status,
        quote,
      });
  return { code: failed ? "failed" : "unexpected", message, errors: [] };
}

const TIMED_OUT: Problem = {
  code: "timed-out",
  message: say("Yarrow took too long to answer; what you typed is kept."),
  errors: [],
};

const LONGEST_MS = 60_000;

let whenSignedOut: () => void = () => undefined;

/** What is to be done where an answer says that the session has ended. */
export function onSignedOut(then: () => void): void {
  whenSignedOut = then;
}

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The answer's data. Throws Refused, also where there is no connection. */
export async function unwrap<T>(asking: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await asking;
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") {
      throw error;
    }
    if (error instanceof DOMException && error.name === "TimeoutError") {
      throw new Refused(504, TIMED_OUT);
    }
    if (error instanceof SyntaxError) {
      // It answered, and not in JSON: a page of something in between.
      throw new Refused(502, unexpected(new Response(null, { status: 502 })));
    }
    throw new Refused(0, UNREACHED);
  }
  if (answer.data !== undefined && answer.response.ok) {
    return answer.data;
  }
  if (answer.response.status === 401) {
    whenSignedOut();
  }
  const problem = answer.error as Problem | undefined;
  throw new Refused(answer.response.status, problem?.code ? problem : unexpected(answer.response));
}
