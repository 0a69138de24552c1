import { dataUrl } from '../../ui/dataUrl';

const longSidePx = 1280;
const quality = 0.75;
/** What is never read whole into the page. */
const mostBytes = 40_000_000;

/** A photograph made small enough to wait on this device; a complaint in words when the file is none. */
export async function smallPhoto(file: File | undefined): Promise<{ photo: string } | { problem: string } | null> {
    if (file === undefined) return null;
    if (file.size > mostBytes) return { problem: 'This file is larger than 40 MB. Choose a photograph, or take it with less.' };
    try {
        const picture = await createImageBitmap(file);
        const times = Math.min(1, longSidePx / Math.max(picture.width, picture.height));
        const canvas = document.createElement('canvas');
        canvas.width = Math.max(1, Math.round(picture.width * times));
        canvas.height = Math.max(1, Math.round(picture.height * times));
        canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
        picture.close();
        return { photo: canvas.toDataURL('image/jpeg', quality) };
    } catch {
        const whole = file.type.startsWith('image/') && file.size < 6_000_000 ? await dataUrl(file) : null;
        return whole === null ? { problem: 'This file is no photograph that can be read; choose a JPEG, PNG or WebP.' } : { photo: whole };
    }
}
