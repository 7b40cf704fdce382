<script lang="ts">
	import { onMount } from 'svelte';
	import { FEW_RELEASES, releaseNames, type ReleaseName } from './release-names.svelte';

	/** A choice of a release. It shows the one that is chosen at once, the others when they are loaded. */
	interface Props {
		/** What is chosen; null: the first one. */
		chosen?: ReleaseName | null;
		/** The name of its field in a form. */
		name?: string;
		/** Where no label stands around it. */
		label?: string;
		/** What stands for no release; left out: one has to be chosen. */
		blank?: string;
		/** What can be chosen besides releases; their keys bear `prefix` then, their names `suffix`. */
		others?: readonly ReleaseName[];
		prefix?: string;
		suffix?: string;
		class?: string;
		choose?: (key: string) => void;
	}
	let {
		chosen = null,
		name,
		label,
		blank,
		others = [],
		prefix = '',
		suffix = '',
		class: width = 'w-full',
		choose = () => undefined
	}: Props = $props();

	const names = releaseNames();
	/** Many are put into the list when it is opened: a page may have a hundred lists. */
	let isOpen = $state(false);
	const all = $derived([
		...others,
		...names.all.map((release) => ({ key: prefix + release.key, name: release.name + suffix }))
	]);
	const shown = $derived(
		names.all.length > 0 && (isOpen || names.all.length <= FEW_RELEASES)
			? all
			: [chosen ?? all[0] ?? []].flat()
	);
	const open = () => (isOpen = true);

	onMount(() => void names.load());
</script>

<select
	class={['select', width]}
	{name}
	aria-label={label}
	value={chosen?.key ?? (blank === undefined ? shown[0]?.key : '')}
	onpointerdown={open}
	onfocus={open}
	onchange={(event) => choose(event.currentTarget.value)}
>
	{#if blank !== undefined}<option value="">{blank}</option>{/if}
	{#each shown as { key, name: text } (key)}<option value={key}>{text}</option>{/each}
</select>
