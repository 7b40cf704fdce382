/**
 * The entry of a list that is known to have it.
 *
 * @throws RangeError where the list is shorter
 */
export function at<Entry>(list: readonly Entry[], index: number): Entry {
	if (!Number.isInteger(index) || index < 0 || index >= list.length) {
		throw new RangeError(`at: no entry ${index} in a list of ${list.length}`);
	}
	return list[index] as Entry;
}
