import { cutSticks, type Cutting, type ToCut } from './sticks';

/** As many ways to cut as are kept. */
const MOST = 40;

/** Keeps how sticks are cut, so that a change elsewhere in the job cuts nothing anew, and what was found to be better. */
export class CutMemo {
  private readonly known = new Map<string, Cutting>();

  of(toCut: ToCut): Cutting {
    const key = JSON.stringify(toCut);
    const known = this.known.get(key);
    if (known) return known;
    const made = cutSticks(toCut);
    this.keep(key, made);
    return made;
  }

  /** A way that was found; kept where it buys less than the one that is known, or is proved. */
  learn(toCut: ToCut, found: Cutting): void {
    const known = this.of(toCut);
    if (found.boughtMm < known.boughtMm || (found.boughtMm === known.boughtMm && found.proved))
      this.keep(JSON.stringify(toCut), found);
  }

  private keep(key: string, made: Cutting): void {
    const [oldest] = this.known.keys();
    if (this.known.size >= MOST && oldest !== undefined) this.known.delete(oldest);
    this.known.set(key, made);
  }
}
