// The only door to the server: typed by the contract, with the token that changes need.
import createClient, { type Middleware } from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Problem = Schemas["Problem"];

let csrfToken = "";

export function rememberToken(token: string): void {
  csrfToken = token;
}

/** For the few requests that are not made through the typed client. */
export function tokenHeader(): Record<string, string> {
  return { "X-CSRFToken": csrfToken };
}

const withToken: Middleware = {
  onRequest({ request }) {
    if (request.method !== "GET") {
      request.headers.set("X-CSRFToken", csrfToken);
    }
    return request;
  },
};

export const client = createClient<paths>({ baseUrl: "/" });
client.use(withToken);

/** What the server refused, with its problem; `status` 0 says that it was not reached. */
export class Refused extends Error {
  readonly status: number;
  readonly problem: Problem;

  constructor(status: number, problem: Problem) {
    super(problem.message);
    this.status = status;
    this.problem = problem;
  }
}

export const UNREACHED: Problem = {
  code: "offline",
  message: "The server can't be reached.",
  errors: [],
};

export const UNEXPECTED: Problem = {
  code: "unexpected",
  message: "The server answered in a way that was not expected. Try again.",
  errors: [],
};

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
    throw new Refused(0, UNREACHED);
  }
  if (answer.data !== undefined && answer.response.ok) {
    return answer.data;
  }
  const problem = answer.error as Problem | undefined;
  throw new Refused(answer.response.status, problem?.code ? problem : UNEXPECTED);
}
