/** A cover with rings: how many leaves its rings close over, and how deep it is. */
export interface BinderKind {
	readonly key: string;
	readonly name: string;
	/** Leaves that the rings close over. */
	readonly mostLeaves: number;
	/** What its leaves may be thick in all, in millimetres. */
	readonly spineDepthMm: number;
	/** Its leaves are sewn in: none are bought for it. */
	readonly hasSewnLeaves?: boolean;
}

/** Rules of thumb of ours; the maker's own figures take precedence: own kinds are added to these. */
export const BINDER_KINDS: readonly BinderKind[] = [
	{ key: 'rings-25', name: '25 mm rings', mostLeaves: 20, spineDepthMm: 25 },
	{ key: 'rings-38', name: '38 mm rings', mostLeaves: 30, spineDepthMm: 38 },
	{ key: 'rings-50', name: '50 mm rings', mostLeaves: 40, spineDepthMm: 50 },
	{ key: 'rings-75', name: '75 mm rings', mostLeaves: 60, spineDepthMm: 75 },
	{
		key: 'zip-20',
		name: 'Zip binder, 20 sewn leaves',
		mostLeaves: 20,
		spineDepthMm: 45,
		hasSewnLeaves: true
	}
];

/**
 * A binder kind by its key, among one's own ones first.
 *
 * @throws RangeError for an unknown key
 */
export function binderKindOf(key: string, added: readonly BinderKind[] = []): BinderKind {
	const kind = [...added, ...BINDER_KINDS].find((known) => known.key === key);
	if (!kind) throw new RangeError(`binderKindOf: no binder kind "${key}"`);
	return kind;
}
