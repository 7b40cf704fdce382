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
	/**
	 * @param listener gets null when the collection is closed: nothing more comes
	 * @returns stops listening
	 */
	readonly listen: (listener: (announcement: Announcement | null) => void) => () => void;
	readonly end: () => void;
}

export function createNews(): News {
	const listeners = new Set<(announcement: Announcement | null) => void>();
	const tell = (announcement: Announcement | null) => {
		for (const listener of listeners) listener(announcement);
	};
	return {
		tell,
		end: () => tell(null),
		listen(listener) {
			listeners.add(listener);
			return () => listeners.delete(listener);
		}
	};
}
