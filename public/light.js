// Before the first paint, so that the page does not flash: the builder's choice of day or night.
(function () {
    var chosen = null;
    try { chosen = localStorage.getItem('pocketplot.light'); } catch (e) { /* storage may be closed */ }
    var night = chosen ? chosen === 'night' : window.matchMedia('(prefers-color-scheme: dark)').matches;
    document.documentElement.dataset.light = night ? 'night' : 'day';
})();
