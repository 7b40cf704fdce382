/** One thing an entry line names. Offsets count UTF-16 units from 0; `end` is behind the last one. */
export type EntryItem = EntryItemBody & { readonly start: number; readonly end: number };

export type EntryItemBody = { readonly quantity: number } & (
	| { readonly kind: 'number'; readonly number: string }
	| {
			readonly kind: 'range';
			readonly from: string;
			readonly to: string;
			/** Written with a plain hyphen, so that the word may also be one number: "2-14". */
			readonly hyphen: boolean;
	  }
	| { readonly kind: 'title'; readonly title: string }
	/** Every card whose number has this prefix ("F*"); '' is the whole section ("*"). */
	| { readonly kind: 'all-of'; readonly prefix: string }
	/** A word that is no number: a finish, a variant, a condition, a section, a synonym. */
	| { readonly kind: 'word'; readonly text: string }
	/** "14/65" */
	| { readonly kind: 'serial'; readonly serial: string }
	/** `@tray`, `@"Long box 4"` */
	| { readonly kind: 'place'; readonly place: string }
	/** "x3" by itself: so many of what stands before it. */
	| { readonly kind: 'times' }
	/** A comma or semicolon: no word reaches over it. Never first or last, never two in a row. */
	| { readonly kind: 'break' }
	| { readonly kind: 'unknown'; readonly text: string; readonly reason: string }
);

/** An entry line taken apart; what it means is up to a checklist (`readShorthand`). */
export interface EntryLine {
	/** `list`: log these. `all`: there is everything. `all-but`: everything, except these. */
	readonly form: 'list' | 'all' | 'all-but';
	readonly items: readonly EntryItem[];
}
