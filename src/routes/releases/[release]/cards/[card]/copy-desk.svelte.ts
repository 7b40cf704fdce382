import type { PhotoSide } from '$lib/core/copies/photo-side';
import type { Problem } from '$lib/core/problem';
import { refreshCopies } from '$lib/ui/refresh';
import { createReport } from '$lib/ui/change-report.svelte';
import { send, sendFile } from '$lib/ui/send';

/** Changes to the copies of a card: which is open for editing, and what the server says of it. */
export function createCopyDesk() {
	let open = $state<number | null>(null);
	const report = createReport();
	let notes = $state.raw<readonly Problem[]>([]);

	const change = async (
		method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
		path: string,
		body?: unknown
	) => {
		const outcome = await report.of(
			send<{ id: number; notes?: readonly Problem[] }>(method, path, body)
		);
		notes = outcome.ok ? (outcome.value.notes ?? []) : [];
		await refreshCopies();
		return outcome;
	};

	return {
		get open() {
			return open;
		},
		get problems() {
			return report.problems;
		},
		get notes() {
			return notes;
		},
		toggle(id: number) {
			open = open === id ? null : id;
			report.begin();
		},
		async add(version: string) {
			const outcome = await change('POST', '/api/copies', { version, fields: { quantity: 1 } });
			if (outcome.ok) open = outcome.value.id;
		},
		/** Saves a form; with a field that was not understood nothing is sent, and what was typed stays. */
		async save(id: number, fields: object, misread: readonly Problem[]) {
			if (misread.length > 0) {
				report.refuse(misread);
				notes = [];
				return;
			}
			const outcome = await change('PUT', `/api/copies/${id}`, { fields });
			if (outcome.ok) open = null;
		},
		async split(id: number) {
			const outcome = await change('POST', `/api/copies/${id}/split`);
			if (outcome.ok) open = outcome.value.id;
		},
		async remove(id: number) {
			await change('DELETE', `/api/copies/${id}`);
		},
		async addPhoto(id: number, file: File) {
			await report.of(sendFile(`/api/copies/${id}/photos`, file));
			await refreshCopies();
		},
		/** Says which side of the card a photo shows. */
		async turnPhoto(id: number, side: PhotoSide) {
			await change('PATCH', `/api/photos/${id}`, { side });
		},
		async removePhoto(id: number) {
			await change('DELETE', `/api/photos/${id}`);
		}
	};
}

export type CopyDesk = ReturnType<typeof createCopyDesk>;
