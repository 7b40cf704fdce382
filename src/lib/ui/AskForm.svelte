<script lang="ts">
	import type { Snippet } from 'svelte';
	import { goto } from '$app/navigation';
	import { formQuery } from './form-query';

	interface Props {
		/** Resolved: where it is asked. */
		path: string;
		class?: string;
		children: Snippet;
	}
	/** Fields that ask by the address: at each change, and with Enter; the answer can be bookmarked and gone back to. */
	let { path, class: more = '', children }: Props = $props();
	let form: HTMLFormElement;
	function ask() {
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved by whoever uses it
		void goto(`${path}?${formQuery(form)}`, { noScroll: true, keepFocus: true });
	}
</script>

<form
	bind:this={form}
	class={['flex flex-wrap items-end gap-x-4 gap-y-2', more]}
	onsubmit={(event) => {
		event.preventDefault();
		ask();
	}}
	onchange={ask}
>
	{@render children()}
	<button class="btn btn-sm">Work it out</button>
</form>
