/** Marks a part of one's own among those of the shelf. */
export function Mine() {
    return <span className="ml-2 rounded-sm border border-pen px-1 text-xs text-pen">mine</span>;
}
