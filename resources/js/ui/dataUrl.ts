/** A chosen file as a data address; null when none is chosen, or when it cannot be read. */
export function dataUrl(file: File | undefined): Promise<string | null> {
    if (file === undefined) return Promise.resolve(null);
    return new Promise((resolve) => {
        const reader = new FileReader();
        reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : null);
        reader.onerror = () => resolve(null);
        reader.readAsDataURL(file);
    });
}
