<script lang="ts">
	import { CONDITIONS } from '$lib/core/copies/condition';
	import type { FullField } from '$lib/core/pile/judge-pile-card';
	import type { Problem } from '$lib/core/problem';
	import { parseAmount } from '$lib/core/money/amount';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { sendFile } from '$lib/ui/send';
	import type { PileBook } from './pile-book.svelte';

	/** What is worth typing in full of the card that was taken last: asked here, so that the pile goes on. */
	interface Props {
		book: PileBook;
		asks: readonly FullField[];
		/** Where one goes on: the line. */
		done: () => void;
	}
	let { book, asks, done }: Props = $props();
	let problems = $state.raw<readonly Problem[]>([]);
	let isDone = $state(false);

	async function submit(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		const form = new FormData(event.currentTarget);
		const text = (name: string) => String(form.get(name) ?? '').trim();
		const value = text('value') === '' ? null : parseAmount(text('value'), null);
		if (value && !value.ok) {
			problems = value.problems;
			return;
		}
		const outcome = await book.describe({
			...(text('condition') ? { condition: text('condition') } : {}),
			...(text('serial') ? { serial: text('serial') } : {}),
			...(value ? { valueMinor: value.value.minor, currency: value.value.currency } : {})
		});
		if (!outcome.ok) {
			problems = outcome.problems;
			return;
		}
		const photo = form.get('photo');
		if (photo instanceof File && photo.size > 0) {
			const path = `/api/copies/${outcome.value.copyId}/photos`;
			const taken = await sendFile(path, photo);
			if (!taken.ok) {
				problems = taken.problems;
				return;
			}
		}
		problems = [];
		isDone = true;
		done();
	}
</script>

{#if isDone}
	<p class="mt-3 quiet">Described.</p>
{:else}
	<form class="mt-3 max-w-2xl" onsubmit={submit} aria-label="Worth typing in full">
		<p class="mb-1">
			Worth typing in full <span class="quiet"
				>(as far as you like; go on, and it stays as it is)</span
			>
		</p>
		<div class="flex flex-wrap items-end gap-2">
			{#if asks.includes('condition')}
				<Field label="Condition">
					<select name="condition" class="select w-36 select-sm">
						<option value="">Not looked at</option>
						{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
					</select>
				</Field>
			{/if}
			{#if asks.includes('serial')}
				<Field label="Serial">
					<input name="serial" class="input w-24 input-sm" placeholder="14/65" maxlength="20" />
				</Field>
			{/if}
			{#if asks.includes('value')}
				<Field label="Value">
					<input name="value" class="input w-28 input-sm" placeholder="12.50 EUR" maxlength="40" />
				</Field>
			{/if}
			{#if asks.includes('photo')}
				<Field label="Photo">
					<input
						type="file"
						name="photo"
						accept="image/*"
						capture="environment"
						class="file-input w-56 max-w-full file-input-sm"
					/>
				</Field>
			{/if}
			<button class="btn btn-sm">Keep</button>
		</div>
		<ProblemAlert {problems} class="mt-2" />
	</form>
{/if}
