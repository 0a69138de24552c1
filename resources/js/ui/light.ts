/** Day or night, kept on this machine. The first choice is made before the first paint by /light.js. */
export function turnLight(): void {
    const night = document.documentElement.dataset.light !== 'night';
    document.documentElement.dataset.light = night ? 'night' : 'day';
    localStorage.setItem('pocketplot.light', night ? 'night' : 'day');
}
