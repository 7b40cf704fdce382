<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Problem } from '$lib/core/problem';
	import { HOLDER_KINDS, type HolderKind } from '$lib/core/storage/kinds/holder-kind';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { formatSize } from '$lib/ui/numerals';

	/** Holders there are: those that come with the program, and one's own with their inner size. */
	interface Props {
		holders: readonly HolderKind[];
		problems: readonly Problem[] | undefined;
	}
	let { holders, problems }: Props = $props();
	const SORTS = [
		{ sort: 'sleeve', name: 'Sleeve' },
		{ sort: 'top-loader', name: 'Top loader' },
		{ sort: 'magnetic', name: 'Magnetic case' }
	] as const;
	const FIELDS = [
		{ name: 'innerWidthMm', label: 'Inside, wide mm', value: '42' },
		{ name: 'innerHeightMm', label: 'Inside, high mm', value: '66' },
		{ name: 'takesPt', label: 'Thickest card, pt', value: '35' },
		{ name: 'addsMm', label: 'Makes it thicker by, mm', value: '1' },
		{ name: 'addsG', label: 'Weighs, g', value: '6' }
	];
	const takes = ({ takesPt, takes: how }: HolderKind) =>
		`to ${takesPt} pt${how === 'sleeved' ? ' with its sleeve' : ''}`;
</script>

<section class="mt-8" aria-labelledby="holder-kinds">
	<h2 id="holder-kinds" class="mb-2">Kinds of holders</h2>
	{#if problems}<ProblemAlert {problems} class="mb-3" />{/if}
	<p class="mb-3 max-w-2xl">
		A card gets the snuggest holder of its tier that takes it. Cards of another size than
		{formatSize(63.5, 88.9)} need kinds of your own; what no kind takes, and what would rattle, the list
		above names.
	</p>
	<ul class="max-w-3xl">
		{#each [...holders, ...HOLDER_KINDS] as kind (kind.key)}
			<li class="flex flex-wrap items-center gap-x-4 border-t border-base-300 py-1">
				<span class="min-w-56 flex-1">{kind.name}</span>
				<span class="quiet tabular-nums"
					>{formatSize(kind.innerWidthMm, kind.innerHeightMm)} inside, {takes(kind)}</span
				>
				<span class="w-24 text-right">
					{#if holders.includes(kind)}
						<form method="POST" action="?/dropKind" use:enhance>
							<input type="hidden" name="key" value={kind.key} />
							<button class="btn btn-ghost btn-xs" aria-label="Take away {kind.name}"
								>Take away</button
							>
						</form>
					{/if}
				</span>
			</li>
		{/each}
	</ul>
	<form
		method="POST"
		action="?/kind"
		use:enhance
		class="mt-3 flex max-w-4xl flex-wrap items-end gap-3 bg-base-200 p-3"
	>
		<Field label="Name of a kind of your own">
			<input class="input w-52 input-sm" name="name" maxlength="60" required />
		</Field>
		<Field label="It is a">
			<select class="select w-36 select-sm" name="sort" value="top-loader">
				{#each SORTS as { sort, name } (sort)}<option value={sort}>{name}</option>{/each}
			</select>
		</Field>
		{#each FIELDS as { name, label, value } (name)}
			<Field {label}>
				<input class="input w-28 input-sm" {name} inputmode="decimal" {value} required />
			</Field>
		{/each}
		<button class="btn btn-primary btn-sm">Add kind</button>
	</form>
</section>
