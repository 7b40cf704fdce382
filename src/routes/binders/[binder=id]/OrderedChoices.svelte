<script lang="ts">
	import { tick } from 'svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import ChevronUp from '@lucide/svelte/icons/chevron-up';
	import X from '@lucide/svelte/icons/x';
	import type { Problem } from '$lib/core/problem';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** A line of the list; `order` is one of the options, or '' for the usual. */
	interface Choice {
		readonly key: string;
		readonly name: string;
		readonly note: string;
		readonly order: string;
	}
	interface Props {
		action: string;
		/** Name of the field that holds the keys; the orders are in `order`. */
		field: string;
		choices: readonly Choice[];
		options: readonly { readonly value: string; readonly text: string }[];
		/** What may be added. */
		more?: readonly Choice[];
		moreLabel?: string;
		canRemove?: boolean;
		problems?: readonly Problem[] | undefined;
	}
	let {
		action,
		field,
		choices,
		options,
		more = [],
		moreLabel = '',
		canRemove = false,
		problems
	}: Props = $props();
	let form: HTMLFormElement;
	/** As it is being changed, until the server answers. */
	let changed = $state<readonly Choice[] | null>(null);
	const shown = $derived(changed ?? choices);
	let said = $state('');

	async function change(next: readonly Choice[], what: string) {
		changed = next;
		said = what;
		await tick();
		form.requestSubmit();
	}

	function move(from: number, by: number) {
		const next = [...shown];
		const [moved] = next.splice(from, 1);
		if (!moved) return;
		next.splice(from + by, 0, moved);
		void change(next, `${moved.name} is now number ${from + by + 1}.`);
	}

	function add(key: string) {
		const added = more.find((choice) => choice.key === key);
		if (added) void change([...shown, added], `${added.name} was added.`);
	}
</script>

<form
	method="POST"
	{action}
	bind:this={form}
	use:enhance={() =>
		async ({ update }) => {
			await update({ reset: false });
			changed = null;
		}}
>
	<ol class="flex flex-col gap-1">
		{#each shown as { key, name, note, order }, i (key)}
			<li class="flex flex-wrap items-center gap-x-2 gap-y-1">
				<input type="hidden" name={field} value={key} />
				<span class="min-w-0 grow wrap-anywhere sm:max-w-72 sm:min-w-56"
					>{name} <span class="text-sm quiet">{note}</span></span
				>
				<select
					class="select w-60 select-sm"
					name="order"
					value={order}
					aria-label="Order of {name}"
					onchange={(event) =>
						change(
							shown.map((choice) =>
								choice.key === key ? { ...choice, order: event.currentTarget.value } : choice
							),
							''
						)}
				>
					{#each options as { value, text } (value)}<option {value}>{text}</option>{/each}
				</select>
				<span class="flex">
					<button
						type="button"
						class="btn btn-square btn-ghost btn-sm"
						aria-label="{name} earlier"
						disabled={i === 0}
						onclick={() => move(i, -1)}><ChevronUp class="size-4" aria-hidden="true" /></button
					>
					<button
						type="button"
						class="btn btn-square btn-ghost btn-sm"
						aria-label="{name} later"
						disabled={i === shown.length - 1}
						onclick={() => move(i, 1)}><ChevronDown class="size-4" aria-hidden="true" /></button
					>
					{#if canRemove && shown.length > 1}
						<button
							type="button"
							class="btn btn-square btn-ghost btn-sm"
							aria-label="Take {name} out"
							onclick={() =>
								change(
									shown.filter((choice) => choice.key !== key),
									`${name} was taken out.`
								)}><X class="size-4" aria-hidden="true" /></button
						>
					{/if}
				</span>
			</li>
		{/each}
	</ol>
	{#if more.length > 0}
		<label class="mt-2 block text-sm"
			><span class="block quiet">{moreLabel}</span>
			<select
				class="select w-72 select-sm"
				value=""
				onchange={({ currentTarget }) => {
					add(currentTarget.value);
					currentTarget.value = '';
				}}
			>
				<option value=""></option>
				{#each more as { key, name, note } (key)}<option value={key}>{name} {note}</option>{/each}
			</select></label
		>
	{/if}
	<span class="sr-only" role="status">{said}</span>
	<ProblemAlert {problems} class="mt-2" />
</form>
