import type { PhotoSide } from '$lib/core/copies/photo-side';
import type { Problem } from '$lib/core/problem';
import { refreshCopies } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';

/** Changes to the copies of a card: which is open for editing, and what the server says of it. */
export function createCopyDesk() {
	let open = $state<number | null>(null);
	let problems = $state.raw<readonly Problem[]>([]);
	let notes = $state.raw<readonly Problem[]>([]);

	const change = async (
		method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
		path: string,
		body?: unknown
	) => {
		const outcome = await send<{ id: number; notes?: readonly Problem[] }>(method, path, body);
		problems = outcome.ok ? [] : outcome.problems;
		notes = outcome.ok ? (outcome.value.notes ?? []) : [];
		await refreshCopies();
		return outcome;
	};

	return {
		get open() {
			return open;
		},
		get problems() {
			return problems;
		},
		get notes() {
			return notes;
		},
		toggle(id: number) {
			open = open === id ? null : id;
			problems = [];
		},
		async add(version: string) {
			const outcome = await change('POST', '/api/copies', { version, fields: { quantity: 1 } });
			if (outcome.ok) open = outcome.value.id;
		},
		/** Saves a form; with a field that was not understood nothing is sent, and what was typed stays. */
		async save(id: number, fields: object, misread: readonly Problem[]) {
			if (misread.length > 0) {
				problems = misread;
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
			const response = await fetch(`/api/copies/${id}/photos`, {
				method: 'POST',
				headers: { 'content-type': 'application/octet-stream' },
				body: file
			});
			const answer = (await response.json()) as { errors?: Problem[]; detail?: string };
			problems = response.ok
				? []
				: (answer.errors ?? [{ message: answer.detail ?? 'the server refused it' }]);
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
