// A value of a site where it is typed, with what is wrong with it; a row that can be taken out.
import { createContext, type ReactNode, useContext } from "react";
import { M_A_FOOT, type SiteDocument } from "@/model/sites";
import { InlineInput } from "@/ui/InlineInput";
import { RemoveButton } from "@/ui/RemoveButton";
import { useTyped } from "@/ui/useTyped";
import { say } from "@/words/say";
import type { EditingSite } from "./useSite";

type Props = {
  editing: EditingSite;
  path: string;
  label: string;
  value: string | number | undefined;
  onType: (text: string) => void;
  text?: boolean;
  placeholder?: string;
};

export function SiteField({ editing, path, label, value, onType, text, placeholder }: Props) {
  const level = editing.plan?.findings.find((finding) => finding.path === path)?.level;
  return (
    <InlineInput
      data-path={path}
      label={label}
      value={value === undefined ? "" : String(value)}
      problem={editing.problems.get(path)}
      level={level}
      look={text ? "text" : "number"}
      placeholder={placeholder}
      onType={onType}
    />
  );
}

type NumberProps = {
  path: string;
  label: string;
  value: number;
  onNumber: (value: number) => void;
};

/** A plain number: what is half typed stays in the field, and changes nothing. */
export function SiteNumber({ path, label, value, onNumber }: NumberProps) {
  const { text, setTyped, forget } = useTyped(shown(value));
  const type = (typed: string) => {
    setTyped(typed);
    const number = Number(typed.replace(",", ".").replace("−", "-"));
    if (typed.trim() !== "" && Number.isFinite(number)) {
      onNumber(number);
    }
  };
  return <InlineInput data-path={path} label={label} value={text} onType={type} onBlur={forget} />;
}

/** What a site's lengths are in: its plan is in metres all the same. */
export const SiteUnits = createContext<SiteDocument["units"]>("mm");

function useFar() {
  const inFeet = useContext(SiteUnits) === "in";
  const metres = inFeet ? M_A_FOOT : 1;
  return { unit: inFeet ? "ft" : "m", metres };
}

/** A distance on the plan, told as the site's distances are. */
export function SiteFar({ label, value, onNumber, ...rest }: NumberProps) {
  const { unit, metres } = useFar();
  return (
    <SiteNumber
      {...rest}
      label={`${label}, ${unit}`}
      value={value / metres}
      onNumber={(far) => onNumber(far * metres)}
    />
  );
}

/** `m` or `ft`, as the site's distances are told. */
export function FarUnit() {
  return useFar().unit;
}

type ListProps<T> = {
  path: string;
  label: string;
  values: readonly T[];
  placeholder: string;
  problem: string | undefined;
  onValues: (values: T[]) => void;
};

type Written<T> = ListProps<T> & {
  write: (value: T) => string;
  /** What a part between two commas is, in a list of its own; of nothing yet, none. */
  read: (part: string) => readonly T[];
};

/** Values between commas; what is half typed stays in the field. */
function SiteList<T>({ write, read, ...props }: Written<T>) {
  const { path, label, values, placeholder, problem, onValues } = props;
  const { text, setTyped, forget } = useTyped(values.map(write).join(", "));
  return (
    <InlineInput
      data-path={path}
      label={label}
      value={text}
      look="text"
      placeholder={placeholder}
      problem={problem}
      onType={(typed) => {
        setTyped(typed);
        onValues(typed.split(",").flatMap((part) => read(part.trim())));
      }}
      onBlur={forget}
    />
  );
}

export function SiteNames(props: ListProps<string>) {
  return <SiteList {...props} write={(name) => name} read={(part) => (part ? [part] : [])} />;
}

/** Points, each as how far east and how far north it is: `22 30, 64 30`. */
export function SitePoints(props: ListProps<readonly number[]>) {
  const { unit, metres } = useFar();
  return (
    <SiteList
      {...props}
      label={say("{label}, points in {unit} between commas", { label: props.label, unit })}
      write={(point) => point.map((far) => shown(far / metres)).join(" ")}
      read={(part) => {
        const point = part.split(/\s+/).map((far) => Number(far) * metres);
        return point.length === 2 && point.every(Number.isFinite) ? [point] : [];
      }}
    />
  );
}

function shown(value: number): string {
  return String(Math.round(value * 100) / 100);
}

export function SiteRow({
  mark,
  out,
  onOut,
  children,
}: {
  mark: string;
  out: string;
  onOut: () => void;
  children: ReactNode;
}) {
  return (
    <li className="relative pr-9" data-row={mark}>
      {children}
      <RemoveButton label={out} run={onOut} />
    </li>
  );
}
