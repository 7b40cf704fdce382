import type { RequestHandler } from '@sveltejs/kit';
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { folderOf, pathOfBackup } from '$lib/server/backups/backup-folder';
import { readSettings } from '$lib/server/database/settings';
import { problemResponse } from '$lib/server/problem-document';

/** A backup as the file that it is, piece by piece. */
export const GET: RequestHandler = async ({ params }) => {
	const folder = folderOf(readSettings(process.env));
	const path = folder && (await pathOfBackup(folder, params.file ?? ''));
	if (!path) return problemResponse(404, 'There is no such backup.');
	const { size } = await stat(path);
	const pieces = Readable.toWeb(createReadStream(path)) as ReadableStream;
	return new Response(pieces, {
		headers: {
			'content-type': 'application/vnd.sqlite3',
			'content-length': `${size}`,
			'content-disposition': `attachment; filename="${params.file}"`
		}
	});
};
