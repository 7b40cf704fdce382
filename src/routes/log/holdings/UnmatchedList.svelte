<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Problem } from '$lib/core/problem';
	import { countOf } from '$lib/ui/numerals';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		rows: readonly {
			readonly id: number;
			readonly source: string;
			readonly line: number;
			readonly reason: string;
			readonly fields: Readonly<Record<string, string>>;
		}[];
		waiting: number;
		/** The row that was to be settled last, and what was wrong with it. */
		settling: number | null;
		problems: readonly Problem[];
	}
	let { rows, waiting, settling, problems }: Props = $props();
	const tell = (fields: Readonly<Record<string, string>>) =>
		['year', 'maker', 'set', 'section', 'number', 'subject', 'parallel', 'attributes', 'note']
			.map((name) => fields[name])
			.filter(Boolean)
			.join(' · ');
</script>

{#if waiting > 0}
	<section class="mt-10" aria-labelledby="unmatched">
		<h2 id="unmatched" class="mb-1">To settle</h2>
		<p class="mb-3 quiet">
			{countOf(waiting, 'row')} fitted no card. Say which card it is, as in the entry line:
			<em>27 brass</em>.
		</p>
		<form
			method="POST"
			action="?/make"
			use:enhance
			class="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2"
		>
			<input type="hidden" name="row" value="" />
			<button class="btn btn-sm">Make what all {waiting} lack</button>
			<span class="quiet"
				>Releases that are not there begin with these cards; those that are get the cards they lack.</span
			>
		</form>
		<ul>
			{#each rows as { id, source, line, reason, fields } (id)}
				<li class="border-t border-base-300 py-2">
					<p>{tell(fields)}</p>
					<p class="text-sm quiet">{reason} ({source}, line {line})</p>
					<div class="mt-1 flex flex-wrap gap-2">
						<form method="POST" action="?/settle" use:enhance class="flex flex-wrap gap-2">
							<input type="hidden" name="row" value={id} />
							<ReleaseSelect name="release" label="Release" class="w-52 select-sm" />
							<input
								class="input w-36 input-sm"
								name="line"
								aria-label="Card, as an entry line"
								value={fields['number'] ?? ''}
								required
							/>
							<button class="btn btn-sm">Settle</button>
						</form>
						<form method="POST" action="?/make" use:enhance>
							<input type="hidden" name="row" value={id} />
							<button
								class="btn btn-sm"
								title="The release where it is not there, with this card; else the card in it"
								>Make release and card</button
							>
						</form>
						<form method="POST" action="?/drop" use:enhance>
							<input type="hidden" name="row" value={id} />
							<button class="btn btn-ghost text-error btn-sm">Drop it</button>
						</form>
					</div>
					<ProblemAlert problems={settling === id ? problems : []} class="mt-2" />
				</li>
			{/each}
		</ul>
	</section>
{/if}
