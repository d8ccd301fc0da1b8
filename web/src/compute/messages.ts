// What the page and the worker say to one another.

/** A question: below `/api/`, what is sent as JSON, and what stands behind the question mark. */
export type Asked = {
  readonly address: string;
  readonly sent: string;
  readonly options: Readonly<Record<string, string>>;
};

export type Told = { readonly status: number; readonly text: string };

export type Reply = Told | { readonly failed: string };
