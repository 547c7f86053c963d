/** Something that sounds, from its beginning to its end. Everything it has started ends with it. */
export class Session {
  readonly #endings = new Set<() => void>();
  #isOver = false;

  /** Whether it has ended: whatever was waited for meanwhile must not sound any more. */
  get isOver(): boolean {
    return this.#isOver;
  }

  /** Does something later, unless the session has ended by then. */
  after(ms: number, work: () => void): void {
    if (this.#isOver) return;
    const ending = () => clearTimeout(timer);
    const timer = setTimeout(() => {
      this.#endings.delete(ending);
      work();
    }, ms);
    this.#endings.add(ending);
  }

  /** Does something again and again until the session ends. */
  every(ms: number, work: () => void): void {
    if (this.#isOver) return;
    const timer = setInterval(work, ms);
    this.#endings.add(() => clearInterval(timer));
  }

  /** Done once, when the session ends; at once when it has. */
  onEnd(work: () => void): void {
    if (this.#isOver) work();
    else this.#endings.add(work);
  }

  end(): void {
    if (this.#isOver) return;
    this.#isOver = true;
    for (const ending of this.#endings) ending();
    this.#endings.clear();
  }
}

/** Where one thing sounds at a time: whatever begins ends what was there. */
class Stage {
  #session: Session | null = null;

  begin(): Session {
    this.#session?.end();
    this.#session = new Session();
    return this.#session;
  }

  /** Silence. */
  end(): void {
    this.#session?.end();
    this.#session = null;
  }
}

/** The one stage of the page. */
export const stage = new Stage();
