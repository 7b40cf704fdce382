<script lang="ts">
	import type { Snippet } from 'svelte';
	import { goto } from '$app/navigation';
	import { formQuery } from './form-query';

	interface Props {
		/** Resolved: where it is asked. */
		path: string;
		class?: string;
		/** What its button says. */
		ask?: string;
		children: Snippet;
	}
	/** Fields that ask by the address: at each change, and with Enter; the answer can be bookmarked and gone back to. */
	let { path, class: more = '', ask: word = 'Work it out', children }: Props = $props();
	let form: HTMLFormElement;
	type Typed = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;
	/** What was typed since it was asked last: an answer that comes meanwhile does not take it away. */
	let typed: readonly (readonly [field: Typed, value: string])[] = [];
	function note({ target }: Event) {
		const field = target as Typed;
		typed = [...typed.filter(([known]) => known !== field), [field, field.value]];
	}
	async function ask() {
		typed = [];
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved by whoever uses it
		await goto(`${path}?${formQuery(form)}`, { noScroll: true, keepFocus: true });
		for (const [field, value] of typed) if (field.value !== value) field.value = value;
	}
</script>

<form
	bind:this={form}
	class={['flex flex-wrap items-end gap-x-4 gap-y-2', more]}
	onsubmit={(event) => {
		event.preventDefault();
		void ask();
	}}
	oninput={note}
	onchange={() => void ask()}
>
	{@render children()}
	<button class="btn btn-sm">{word}</button>
</form>
