import { po } from "gettext-parser";
import { parseSync } from "vite";
import { describe, expect, it } from "vitest";
import { RULEBOOKS, TERMS } from "@/model/wording";
import { readCatalogue } from "../../gettext";
import { languageOf } from "./language";
import { parted, Speech } from "./sentences";

const SOURCES: Record<string, string> = import.meta.glob(
  ["../**/*.{ts,tsx}", "!./*", "!../**/*.test.*", "!../testing/**", "!../api/schema.d.ts"],
  { query: "?raw", import: "default", eager: true },
);

type Node = { readonly type: string; readonly [name: string]: unknown };
type Sentence = { readonly one: string; readonly many?: string };

/** Every node of a file, with those that it stands in, the nearest last. */
function* nodes(node: unknown, within: readonly Node[] = []): Generator<[Node, readonly Node[]]> {
  if (Array.isArray(node)) {
    for (const one of node) {
      yield* nodes(one, within);
    }
  } else if (typeof node === "object" && node !== null) {
    const one = node as Node;
    const inside = typeof one.type === "string" ? [...within, one] : within;
    if (typeof one.type === "string") {
      yield [one, within];
    }
    for (const value of Object.values(one)) {
      yield* nodes(value, inside);
    }
  }
}

function everyNode(): [string, Node, readonly Node[]][] {
  return Object.entries(SOURCES).flatMap(([file, text]) =>
    [...nodes(parseSync(file, text).program)].map(
      ([node, within]): [string, Node, readonly Node[]] => [file, node, within],
    ),
  );
}

/** What an argument may be: itself, or either of two. */
function texts(argument: Node, file: string): string[] {
  if (argument.type === "ConditionalExpression") {
    return [argument.consequent, argument.alternate].flatMap((one) => texts(one as Node, file));
  }
  expect(argument, `what is said is written there: ${file}`).toMatchObject({ type: "Literal" });
  return [argument.value as string];
}

const SAID = /^say(Of|Parts|With)?$/;

function called(node: Node): string {
  return node.type === "CallExpression" ? String((node.callee as Node).name) : "";
}

const ALL = everyNode();

/** All that the page says, by its English. */
function sentences(): Sentence[] {
  const byEnglish = new Map<string, Sentence>();
  for (const [file, node] of ALL) {
    if (SAID.test(called(node))) {
      const [first, second, third] = node.arguments as Node[];
      const counts = called(node) === "sayOf";
      for (const one of texts((counts ? second : first) as Node, file)) {
        byEnglish.set(one, counts ? { one, many: texts(third as Node, file)[0] ?? "" } : { one });
      }
    }
  }
  return [...byEnglish.values()].sort(({ one: a }, { one: b }) => (a < b ? -1 : 1));
}

/** The template of a catalogue: every sentence, in nobody's language yet. */
function template(): string {
  const translations = Object.fromEntries(
    sentences().map(({ one, many }) => [
      one,
      { msgid: one, ...(many ? { msgid_plural: many, msgstr: ["", ""] } : { msgstr: [""] }) },
    ]),
  );
  const headers = { "Content-Type": "text/plain; charset=UTF-8" };
  return `${po.compile({ charset: "utf-8", headers, translations: { "": translations } })}\n`;
}

/** Attributes and properties whose texts are read. */
const SHOWN_BY = {
  JSXAttribute: "label title hint what placeholder description aria-label word text told add",
  Property: "label title hint placeholder description message",
};

/** A node's own text, ``{}`` for what is put into it; empty where it is none. */
function textOf(node: Node): string {
  if (node.type === "TemplateLiteral") {
    return (node.quasis as { value: { cooked: string } }[])
      .map(({ value }) => value.cooked)
      .join("{}");
  }
  const text = node.type === "JSXText" || node.type === "Literal" ? node.value : "";
  return typeof text === "string" ? text : "";
}

/** Whether a text is read by people: where it stands, or as a sentence begins. */
function isShown(node: Node, text: string, parent: Node | undefined): boolean {
  const kinds = parent && parent.type in SHOWN_BY ? SHOWN_BY[parent.type as "Property"] : "";
  const by = (parent?.type === "Property" ? parent.key : parent?.name) as Node | undefined;
  return (
    node.type === "JSXText" ||
    (by !== node && kinds.split(" ").includes(String(by?.name ?? by?.value))) ||
    /^[A-Z][a-z']+ [a-z]/.test(text)
  );
}

/** What never reaches a reader, or is read as it is in every language. */
const NOT_SAID = [
  /^T(he|o)? ?\d/, // a mark on a drawing
  /^Press hall feed|^Cellar lighting|^Weighbridge kiosk|^Pump 1 supply|^Gate motor|^Stair sensor/,
  /outside of/, // told to who writes code
  /^\s*(\{\} )?(in³|mm|mm²|Yarrow)\s*$/, // units and a name
];

/** What is wrong with a language's catalogue: what it leaves out, and figures that do not agree. */
function faults(said: Readonly<Record<string, readonly string[]>>): string[] {
  const names = (text: string) => [...new Set(text.match(/\{\w+\}/g))].sort().join();
  return sentences().flatMap(({ one, many }) => {
    const forms = said[one];
    if (!forms) {
      return [`not said: ${one}`];
    }
    const agrees = (form: string) =>
      [one, many].some((text) => text && names(text) === names(form));
    return forms.every(agrees) ? [] : [`other figures: ${one}`];
  });
}

const CATALOGUES: Record<string, string> = import.meta.glob("./*.po", {
  query: "?raw",
  import: "default",
  eager: true,
});

describe("what the page says", () => {
  it("is in the template of its catalogues", async () => {
    await expect(template()).toMatchFileSnapshot("./messages.pot");
  });

  it("is said in one language's way throughout: nothing is shown that no catalogue can say", () => {
    const left = ALL.flatMap(([file, node, within]) => {
      const text = textOf(node);
      const said = within.some((one) => SAID.test(called(one)));
      const shown = isShown(node, text, within.at(-1));
      return /[A-Za-z]{2}/.test(text) && shown && !said && !NOT_SAID.some((one) => one.test(text))
        ? [`${file}: ${text.trim()}`]
        : [];
    });
    expect(left).toEqual([]);
  });

  it("is said whole, with its figures, in every language but the one it is written in", () => {
    const all: Record<string, string[]> = Object.fromEntries(
      sentences().map(({ one, many }) => [one, many ? [one, many] : [one]]),
    );
    expect(faults(all)).toEqual([]);
    const { Marks, ...most } = all;
    expect(Marks).toEqual(["Marks"]);
    expect(faults({ ...most, "Piece {number}": ["Teil"] })).toEqual([
      "not said: Marks",
      "other figures: Piece {number}",
    ]);
    for (const [file, text] of Object.entries(CATALOGUES)) {
      expect(file.startsWith("./en-") ? [] : faults(readCatalogue(text).sentences)).toEqual([]);
    }
  });

  it("calls every thing of the trade by a name, in every language", () => {
    const spoken = Object.values(RULEBOOKS).map(({ language }) => `./${language}.po`);
    expect(Object.keys(CATALOGUES)).toEqual(expect.arrayContaining(spoken));
    for (const text of Object.values(CATALOGUES)) {
      const { terms } = readCatalogue(text);
      expect(Object.keys(terms).sort()).toEqual([...TERMS].sort());
      expect(Object.values(terms).every(Boolean)).toBe(true);
    }
  });

  it("counts by the same names in one as in many", () => {
    const names = (text: string) => new Set(text.match(/\{\w+\}/g));
    for (const { one, many } of sentences()) {
      expect([...names(one)].filter((name) => many && !names(many).has(name))).toEqual([]);
    }
  });
});

const POLISH = `
msgid ""
msgstr "Content-Type: text/plain; charset=UTF-8\\n"

msgctxt "term"
msgid "stub"
msgstr "stub of pipe"

msgid "Cut at {at}"
msgstr "{at}: tu przetnij"

msgid "Not said yet"
msgstr ""

msgid "{n} bend"
msgid_plural "{n} bends"
msgstr[0] "{n} gięcie"
msgstr[1] "{n} gięcia"
msgstr[2] "{n} gięć"
`;

describe("another language", () => {
  const { terms, sentences: said } = readCatalogue(POLISH);
  const speech = new Speech("pl", said);

  it("says a sentence in its own order, and what it lacks in English", () => {
    expect(parted(speech.of("Cut at {at}"), { at: 12 }).join("")).toBe("12: tu przetnij");
    expect(speech.of("Not said yet")).toBe("Not said yet");
    expect(terms).toEqual({ stub: "stub of pipe" });
  });

  it("counts as it counts", () => {
    const bends = (n: number) => parted(speech.ofMany(n, "{n} bend", "{n} bends"), { n }).join("");
    expect([1, 2, 5, 22].map(bends)).toEqual(["1 gięcie", "2 gięcia", "5 gięć", "22 gięcia"]);
    const inEnglish = new Speech("en", {});
    expect([0, 1, 2].map((n) => inEnglish.ofMany(n, "one", "many"))).toEqual([
      "many",
      "one",
      "many",
    ]);
  });

  it("is the first that somebody reads, wherever they are", () => {
    const there = ["en-GB", "en-US", "pl", "pt-BR"];
    expect(languageOf(["pl-PL", "en"], there)).toBe("pl");
    expect(languageOf(["cs", "pt", "pl"], there)).toBe("pt-BR");
    expect(languageOf(["en-AU", "pl"], there)).toBe("en");
    expect(languageOf(["cs"], there)).toBe("en");
    expect(languageOf([], there)).toBe("en");
  });
});

it("a name that nothing is for stays, and what is nothing leaves no trace", () => {
  expect(parted("{a} and {b}", { a: null })).toEqual([null, " and ", "{b}"]);
});
