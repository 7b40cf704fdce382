import sharp from 'sharp';
import { drawSample, SAMPLE_SCANS } from '../../core/measuring/centring/sample-scans.ts';

/** A drawn scan as PNG; null: there is none of that key. */
export async function sampleScan(key: string): Promise<Uint8Array<ArrayBuffer> | null> {
	const sample = SAMPLE_SCANS.find((each) => each.key === key);
	if (!sample) return null;
	const { widthPx: width, heightPx: height, channels, pixels } = drawSample(sample);
	return new Uint8Array(await sharp(pixels, { raw: { width, height, channels } }).png().toBuffer());
}
