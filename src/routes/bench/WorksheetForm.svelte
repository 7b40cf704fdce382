<script lang="ts">
	import type { FormAnswer } from '$lib/ui/form-answer';
	import type { BenchView } from '$lib/server/bench/bench-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import Word from '$lib/ui/Word.svelte';
	import { PLACES, type SheetBook } from './sheet-book.svelte';
	import SuggestedWord from './SuggestedWord.svelte';

	interface Props {
		copy: NonNullable<BenchView['copy']>;
		rules: BenchView['rules'];
		book: SheetBook;
		/** The picture on the bench; it can be kept with the copy. */
		picture: Blob | null;
		answer: FormAnswer;
	}
	/** Centring, corners, edges and surface, each by what is looked for; kept with the copy. */
	let { copy, rules, book, picture, answer }: Props = $props();
	const SIDES = [
		{ key: 'front', name: 'Front' },
		{ key: 'back', name: 'Back' }
	] as const;
	const SHARES = [
		{ key: 'leftRight', name: 'left of both, %', field: 'LeftRight' },
		{ key: 'topBottom', name: 'top of both, %', field: 'TopBottom' },
		{ key: 'offBy', name: '±', field: 'OffBy' }
	] as const;
	const ASPECT_NAMES = { corners: 'Corners', edges: 'Edges' } as const;
	let keepsPicture = $state(false);
</script>

<form
	method="POST"
	action="?/keep"
	class="mt-6"
	enctype="multipart/form-data"
	use:enhance={({ formData }) => {
		if (keepsPicture && picture) formData.set('photo', picture, 'bench.jpg');
		return async ({ update }) => {
			await update({ reset: false });
			keepsPicture = false;
		};
	}}
>
	<input type="hidden" name="copy" value={copy.id} />
	<h2 class="mb-1">Worksheet</h2>
	<SuggestedWord answer={book.answer} />
	<div class="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-2">
		<fieldset>
			<legend class="font-serif text-lg"><Word of="centring">Centring</Word></legend>
			{#each SIDES as side (side.key)}
				<div class="flex flex-wrap items-end gap-3">
					<span class="w-12 self-center">{side.name}</span>
					{#each SHARES as share (share.key)}
						<Field label={share.name}
							><input
								name="{side.key}{share.field}"
								class="input w-24 input-sm"
								inputmode="decimal"
								aria-label="{side.name}, {share.name}"
								bind:value={
									() => book.sides[side.key][share.key],
									(text) => book.setSide(side.key, { [share.key]: text })
								}
							/></Field
						>
					{/each}
				</div>
			{/each}
		</fieldset>
		{#each ['corners', 'edges'] as const as aspect (aspect)}
			<fieldset>
				<legend class="font-serif text-lg">{ASPECT_NAMES[aspect]}</legend>
				<div class="grid max-w-md grid-cols-2 gap-3 sm:grid-cols-4">
					{#each PLACES[aspect] as place, i (place)}
						<Field label={place}>
							<select
								name={aspect}
								class="select w-full select-sm"
								aria-label="{ASPECT_NAMES[aspect]}, {place}"
								bind:value={() => book.seen[aspect][i] ?? '', (level) => book.see(aspect, i, level)}
							>
								<option value="">not looked</option>
								{#each rules.levels[aspect] as { key } (key)}<option value={key}>{key}</option
									>{/each}
							</select>
						</Field>
					{/each}
				</div>
				<p class="mt-1 flex flex-wrap gap-1 text-sm">
					<span class="self-center quiet">all</span>
					{#each rules.levels[aspect] as { key, lookFor } (key)}
						<button
							type="button"
							class="btn btn-xs"
							title={lookFor}
							onclick={() => book.seeAll(aspect, key)}
							aria-label="All {aspect} {key}">{key}</button
						>
					{/each}
				</p>
			</fieldset>
		{/each}
		<fieldset>
			<legend class="font-serif text-lg">Surface</legend>
			{#each rules.levels.surface as { key, lookFor } (key)}
				<label class="flex items-start gap-2"
					><input
						type="checkbox"
						name="surface"
						value={key}
						class="checkbox mt-1 checkbox-sm"
						checked={book.seen.surface.includes(key)}
						onchange={() => book.toggleSurface(key)}
					/>
					<span>{key}<span class="text-sm quiet">: {lookFor}</span></span></label
				>
			{/each}
		</fieldset>
	</div>
	<details class="mt-3 max-w-4xl">
		<summary class="cursor-pointer">What to look for at corners and edges</summary>
		<div class="grid gap-x-8 sm:grid-cols-2">
			{#each ['corners', 'edges'] as const as aspect (aspect)}
				<dl class="text-sm">
					{#each rules.levels[aspect] as { key, lookFor, word } (key)}
						<dt class="mt-1 font-semibold">{key} <span class="font-normal quiet">{word}</span></dt>
						<dd>{lookFor}</dd>
					{/each}
				</dl>
			{/each}
		</div>
	</details>
	<div class="mt-3 flex flex-wrap items-end gap-3">
		<Field label="Width, mm"
			><input
				name="widthMm"
				class="input w-24 input-sm"
				inputmode="decimal"
				bind:value={() => book.size.widthMm, (widthMm) => book.setSize({ widthMm })}
			/></Field
		>
		<Field label="Height, mm"
			><input
				name="heightMm"
				class="input w-24 input-sm"
				inputmode="decimal"
				bind:value={() => book.size.heightMm, (heightMm) => book.setSize({ heightMm })}
			/></Field
		>
		<Field label="Thickness by gauge, pt"
			><input
				name="thicknessPt"
				class="input w-24 input-sm"
				inputmode="decimal"
				placeholder={`${copy.stockPt ?? 18}`}
				bind:value={book.thickness}
			/></Field
		>
		<span class="flex flex-wrap items-end gap-2 border-l border-base-300 pl-3">
			<Field label="or a stack of"
				><input
					class="input w-20 input-sm"
					inputmode="numeric"
					placeholder="cards"
					bind:value={book.stackCards}
				/></Field
			>
			<Field label="that is, mm"
				><input
					class="input w-20 input-sm"
					inputmode="decimal"
					placeholder="9.1"
					bind:value={book.stackMm}
				/></Field
			>
			{#if book.stack}
				<span class="self-center text-sm"
					>{book.stack.pt.toFixed(1)} ± {book.stack.offByPt.toFixed(1)} pt a card
					<button type="button" class="btn btn-xs" onclick={() => book.takeStack()}>Take it</button
					></span
				>
			{/if}
		</span>
	</div>
	<div class="mt-3 flex flex-wrap items-end gap-3">
		<Field label="I think it is a grade"
			><input
				name="estimate"
				class="input w-24 input-sm"
				inputmode="decimal"
				value={copy.sheet?.estimate ?? ''}
			/></Field
		>
		<Field label="Note"
			><input
				name="note"
				class="input w-96 max-w-full input-sm"
				maxlength="2000"
				value={copy.sheet?.note ?? ''}
			/></Field
		>
	</div>
	<div class="mt-3 flex flex-wrap items-center gap-x-6 gap-y-2">
		<button class="btn btn-primary btn-sm">Keep with the copy</button>
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				name="takesWord"
				value="yes"
				class="checkbox checkbox-sm"
				checked={copy.grade === null}
			/>
			it is called {book.answer.word ?? 'as suggested'} from now on</label
		>
		{#if picture}
			<label class="flex items-center gap-2"
				><input type="checkbox" class="checkbox checkbox-sm" bind:checked={keepsPicture} />
				keep the picture as its photo</label
			>
		{/if}
		<span class="text-sm text-primary" role="status">{answer.told}</span>
	</div>
	<ProblemAlert problems={answer.problems} class="mt-2" />
</form>
