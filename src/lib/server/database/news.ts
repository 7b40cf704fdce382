/** That something was done, for whoever looks on. */
export interface Announcement {
	/** In words, as in the journal. */
	readonly label: string;
	/** Who did it; null: a program. */
	readonly window: string | null;
}

/** Tells open windows what was done, once it is on the disk. */
export interface News {
	readonly tell: (announcement: Announcement) => void;
	/** @returns stops listening */
	readonly listen: (listener: (announcement: Announcement) => void) => () => void;
}

export function createNews(): News {
	const listeners = new Set<(announcement: Announcement) => void>();
	return {
		tell(announcement) {
			for (const listener of listeners) listener(announcement);
		},
		listen(listener) {
			listeners.add(listener);
			return () => listeners.delete(listener);
		}
	};
}
