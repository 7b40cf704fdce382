<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import type { BinderKind } from '$lib/core/binder/binder-kind';
	import type { BinderLayout } from '$lib/core/binder/binder-layout';
	import type { PageKind } from '$lib/core/binder/page-kind';
	import type { Problem } from '$lib/core/problem';
	import { MORE_FIELDS, ORDER_FIELD, START_FIELD, type LayoutField } from './layout-fields';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { formatSize } from '$lib/ui/numerals';

	interface Props {
		layout: BinderLayout;
		name: string;
		pageKinds: readonly PageKind[];
		binderKinds: readonly BinderKind[];
		problems?: readonly Problem[] | undefined;
	}
	let { layout, name, pageKinds, binderKinds, problems }: Props = $props();
	const uid = $props.id();
	let form: HTMLFormElement;
	let isOpen = $state(false);
	const relay = () => form.requestSubmit();
	const kindField = $derived<LayoutField>({
		field: 'pageKind',
		label: 'Pages',
		options: pageKinds.map((kind) => ({
			value: kind.key,
			text: kind.name,
			means: `${formatSize(kind.pocketWidthMm, kind.pocketHeightMm)}, opens at the ${kind.loading}`
		}))
	});
	const binderField = $derived<LayoutField>({
		field: 'binderKind',
		label: 'Binder',
		options: binderKinds.map((kind) => ({
			value: kind.key,
			text: kind.name,
			means: `Closes over ${kind.mostLeaves} leaves, ${formatSize(kind.spineDepthMm)} deep.`
		}))
	});
	const valueOf = ({ field }: LayoutField) =>
		field === 'titlePocket' ? (layout.titlePocket ? 'yes' : 'no') : String(layout[field]);
	const meaning = (field: LayoutField) =>
		field.options.find(({ value }) => value === valueOf(field))?.means ?? '';
	/** Laid by subject or by hand, there are no sections to begin, reserve for or set apart. */
	const hasNoBlocks = $derived(layout.order === 'subject' || layout.order === 'by-hand');
</script>

{#snippet choice(field: LayoutField, width: string)}
	{@const id = `${uid}-${field.field}`}
	<div class={[width, !isOpen && 'max-sm:hidden']}>
		<label class="block text-sm quiet" for={id}>{field.label}</label>
		<select
			{id}
			class="select w-full select-sm"
			name={field.field}
			value={valueOf(field)}
			onchange={relay}
			aria-describedby="{id}-means"
		>
			{#each field.options as { value, text } (value)}<option {value}>{text}</option>{/each}
		</select>
		<p id="{id}-means" class="text-xs quiet">{meaning(field)}</p>
	</div>
{/snippet}

<form
	method="POST"
	action="?/layout"
	bind:this={form}
	use:enhance={() =>
		({ update }) =>
			update({ reset: false })}
	class="mb-3 flex flex-wrap items-start gap-x-4 gap-y-2"
>
	{@render choice(kindField, 'w-48')}
	{@render choice(ORDER_FIELD, 'w-72')}
	{#if !hasNoBlocks}{@render choice(START_FIELD, 'w-64')}{/if}
	<button
		type="button"
		class="btn btn-ghost btn-sm sm:mt-5"
		aria-expanded={isOpen}
		onclick={() => (isOpen = !isOpen)}>{isOpen ? 'Fewer choices' : 'More choices'}</button
	>
	{#if isOpen}
		<div class="flex basis-full flex-wrap items-start gap-x-4 gap-y-3">
			<Field label="Name" class="w-56">
				<input
					class="input w-full input-sm"
					name="name"
					value={name}
					maxlength="200"
					onchange={relay}
				/>
			</Field>
			{@render choice(binderField, 'w-56')}
			{#each MORE_FIELDS.filter(({ field }) => !hasNoBlocks || !['variants', 'parallels', 'titlePocket'].includes(field)) as field (field.field)}
				{@render choice(field, 'w-56')}
			{/each}
			{#if layout.missing === 'some' && !hasNoBlocks}
				<Field label="Reserved a section" class="w-32">
					<input
						class="input w-full input-sm"
						name="reserve"
						inputmode="numeric"
						value={layout.reserve}
						onchange={relay}
					/>
				</Field>
			{/if}
			{#if !hasNoBlocks}
				<Field label="Free besides" class="w-32">
					<input
						class="input w-full input-sm"
						name="slack"
						inputmode="numeric"
						value={layout.slack}
						onchange={relay}
					/><span class="block text-xs quiet">Pockets a section.</span>
				</Field>
			{/if}
			<p class="self-end text-sm">
				<a class="prose-link" href={resolve('/binders/kinds')}>Own pages and binders</a>
			</p>
		</div>
	{/if}
	<noscript><button class="btn btn-sm">Lay out</button></noscript>
	<ProblemAlert {problems} class="basis-full" />
</form>
