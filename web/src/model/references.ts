// What of a document names something else in it: declared once a kind, and followed wherever that is
// called otherwise or taken out.

/** Entries of a list that name one of another list by a field, or several. */
export type Reference<List extends string> = {
  readonly inside: List;
  readonly by: string;
  readonly to: readonly List[];
  /** What becomes of an entry once what it names is taken out: it goes too, or names nothing. */
  readonly gone: "goes" | "names nothing";
};

type Entry = Readonly<Record<string, unknown>>;

/**
 * The document with all that named an entry of a list following it.
 *
 * @param after what it is called from now on; null: it is taken out.
 */
export function followed<
  List extends string,
  Document extends { readonly [key in List]?: unknown },
>(
  document: Document,
  references: readonly Reference<List>[],
  list: List,
  before: string | undefined,
  after: string | null | undefined,
): Document {
  if (before === undefined || after === undefined || before === after) {
    return document;
  }
  const lists: Partial<Record<List, Entry[]>> = {};
  for (const reference of references.filter(({ to }) => to.includes(list))) {
    const entries =
      lists[reference.inside] ?? (document[reference.inside] as readonly Entry[] | undefined);
    const next = entries?.flatMap((entry) => follow(entry, reference, before, after));
    if (next) {
      lists[reference.inside] = next;
    }
  }
  return { ...document, ...lists };
}

function follow(
  entry: Entry,
  { by, gone }: Reference<string>,
  before: string,
  after: string | null,
): Entry[] {
  const names = entry[by];
  if (Array.isArray(names)) {
    const kept = names.filter((name) => after !== null || name !== before);
    return [{ ...entry, [by]: kept.map((name) => (name === before ? after : name)) }];
  }
  if (names !== before) {
    return [entry];
  }
  if (after === null && gone === "goes") {
    return [];
  }
  return [{ ...entry, [by]: after ?? "" }];
}
