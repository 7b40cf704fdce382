import Negotiator from 'negotiator';

/** Where nothing is asked for, or nothing that is known. */
const USUAL = 'en-GB';

/**
 * The locale by which a browser wants to read numbers, dates and money: the first it asks for that is known here.
 *
 * @param asked the header Accept-Language; null: there was none
 * @example localeOf('xx, de-CH;q=0.8, fr;q=0.9') // 'fr'
 */
export function localeOf(asked: string | null): string {
	const languages = new Negotiator({
		headers: { 'accept-language': asked ?? undefined }
	}).languages();
	return languages.find(isKnown) ?? USUAL;
}

function isKnown(language: string): boolean {
	try {
		return Intl.NumberFormat.supportedLocalesOf(language).length > 0;
	} catch {
		// No language tag at all: "*", or what is broken.
		return false;
	}
}
