/** A name that is not taken: the name itself, or with the next number behind it; `from`: always a number. */
export function freeName(name: string, taken: ReadonlySet<string>, from?: number): string {
	if (from === undefined && !taken.has(name)) return name;
	for (let n = from ?? 2; ; n++) {
		const numbered = `${name} ${n}`;
		if (!taken.has(numbered)) return numbered;
	}
}
