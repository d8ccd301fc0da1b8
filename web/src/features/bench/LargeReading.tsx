// A length as the largest thing on the screen: its figures are 15 mm high on a phone, the fraction
// stands over its line, half as high.
import { parted } from "@/ui/reading";

export function LargeReading({ text }: { text: string }) {
  const { whole, over, under, tail } = parted(text);
  return (
    <span
      className="flex items-center text-[7.5rem] leading-[0.86] font-bold tracking-[-0.04em]"
      data-reading={text}
    >
      <span className="sr-only">{text}</span>
      <span aria-hidden="true">{whole}</span>
      {over ? (
        <span
          aria-hidden="true"
          className="ml-2 grid justify-items-center text-[3.4rem] leading-[0.92]"
        >
          <span>{over}</span>
          <span className="border-t-4 border-ink px-1">{under}</span>
        </span>
      ) : null}
      <span aria-hidden="true" className="text-5xl">
        {tail}
      </span>
    </span>
  );
}
