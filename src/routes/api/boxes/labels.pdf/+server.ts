import { LABEL_GRIDS } from '$lib/core/print/label-grid';
import { LABEL_SORTS } from '$lib/server/storage/labels/label-texts';
import { readBoxIds } from '$lib/server/storage/labels/read-box-ids';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { fileTask } from '$lib/server/workers/file-task';
import type { RequestHandler } from './$types';

/**
 * Labels on sheets: `?what=boxes|dividers|shelves&grid=a4-3x7&start=1`, `&box=` as often as wanted, and
 * `&address=` where a phone reaches this program.
 */
export const GET: RequestHandler = async ({ url, request }) => {
	const query = url.searchParams;
	const sort = LABEL_SORTS.find((known) => known === (query.get('what') ?? 'boxes'));
	const grid = LABEL_GRIDS.find(({ key }) => key === (query.get('grid') ?? 'a4-3x7'));
	const start = Number(query.get('start') ?? 1);
	const most = grid ? grid.columns * grid.rows : 1;
	const isStart = Number.isInteger(start) && start >= 1 && start <= most;
	const address = (query.get('address') ?? url.origin).replace(/\/+$/, '');
	const isAddress = /^https?:\/\/[^\s]{1,180}$/.test(address);
	if (!sort || !grid || !isStart || !isAddress) {
		return problemResponse(400, 'The labels cannot be printed like this.', [
			...(sort
				? []
				: [{ field: 'what', message: 'there are no such labels', remedy: LABEL_SORTS.join(', ') }]),
			...(grid
				? []
				: [
						{
							field: 'grid',
							message: 'there is no such sheet',
							remedy: LABEL_GRIDS.map(({ key }) => key).join(', ')
						}
					]),
			...(isStart ? [] : [{ field: 'start', message: `a sheet has places 1 to ${most}` }]),
			...(isAddress
				? []
				: [
						{
							field: 'address',
							message: 'this is no address',
							remedy: 'As http://192.168.1.5:3000.'
						}
					])
		]);
	}
	const { now } = await theCollection();
	const boxIds = readBoxIds(query);
	const choice = { sort, boxIds, address, date: now().slice(0, 10) };
	return fileTask('printLabels', { choice, grid, start, now: now() }, request.signal, (pdf) =>
		download(pdf, `labels-${sort}.pdf`, 'application/pdf')
	);
};
