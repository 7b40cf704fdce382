<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import CardPairs from './CardPairs.svelte';
	import SectionSheet from './SectionSheet.svelte';

	let { data, form } = $props();
	let onlyDifferences = $state(false);
	const names = $derived(
		data.sides.map(({ key, section }) => (section === '' ? key : `${key}/${section}`))
	);
	const titles = $derived(
		data.sides.map(({ name, section, sections }) => {
			const only = sections.find(({ key }) => key === section)?.name;
			return only === undefined ? name : `${name}, ${only}`;
		})
	);
	const queryOf = (sides: readonly string[]) =>
		sides.map((side) => `side=${encodeURIComponent(side)}`).join('&');
	const parts = $derived(
		data.parts.map((part) => ({
			...part,
			lines: onlyDifferences ? part.lines.filter(({ differs }) => differs) : part.lines
		}))
	);

	const show = (sides: readonly string[]) =>
		goto(resolve(`/releases/compare?${queryOf(sides)}`), { keepFocus: true, noScroll: true });
</script>

<svelte:head><title>Side by side · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-5">Side by side</h1>
<div class="mb-4 flex flex-wrap items-end gap-x-6 gap-y-3">
	{#each data.sides as { key, name, section, sections }, i (i)}
		<div class="flex w-64 flex-col gap-1">
			<Field label={i === 0 ? 'First' : `Beside it${i > 1 ? `, ${i + 1}` : ''}`}>
				<ReleaseSelect chosen={{ key, name }} choose={(chosen) => show(names.with(i, chosen))} />
			</Field>
			<select
				class="select w-full select-sm"
				aria-label="Section of {name}"
				value={section}
				onchange={({ currentTarget }) =>
					show(names.with(i, currentTarget.value ? `${key}/${currentTarget.value}` : key))}
			>
				<option value="">all sections</option>
				{#each sections as { key: of, name: text } (of)}<option value={of}>{text}</option>{/each}
			</select>
			{#if data.sides.length > 2}
				<button class="btn btn-ghost btn-xs" onclick={() => show(names.toSpliced(i, 1))}
					>Take {name} away</button
				>
			{/if}
		</div>
	{/each}
	{#if data.sides.length > 0 && data.sides.length < data.mostSides}
		<div class="w-64">
			<Field label={data.sides.length === 1 ? 'Beside it' : 'And another'}>
				<!-- Begun anew when a side has joined: its choice is spent. -->
				{#key data.sides.length}
					<ReleaseSelect blank="" choose={(chosen) => chosen && show([...names, chosen])} />
				{/key}
			</Field>
		</div>
	{/if}
</div>
<ProblemAlert problems={form?.problems} class="mb-4" />

{#if data.sides.length > 1}
	<div class="mb-4 flex flex-wrap items-center gap-4">
		<label class="flex items-center gap-2">
			<input type="checkbox" class="checkbox checkbox-sm" bind:checked={onlyDifferences} />
			Only what differs
		</label>
		<a class="btn btn-sm" href={resolve(`/api/releases/compare.pdf?${queryOf(names)}`)} download
			>Print as PDF</a
		>
	</div>
	{#each parts as part, i (i)}
		<section
			class="border-t border-base-300 py-4"
			aria-label={part.members.find((member) => member)?.name}
		>
			<SectionSheet {part} sides={data.sides} />
			{#if part.pairs.length > 0}<CardPairs pairs={part.pairs} names={titles} />{/if}
		</section>
	{/each}
{:else}
	<p class="max-w-xl text-lg">
		Releases, or sections, are laid beside each other here, so that look-alike years can be told
		apart. It takes two of them.
	</p>
{/if}
