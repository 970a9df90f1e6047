/**
 * What the search's primitive gets for the dialog that it brings along and we never open (`next.config.ts`,
 * decision 0086): a seventh of what a desk fetches before its first key works.
 */
const Nothing = () => null;
export { Nothing as Content, Nothing as Overlay, Nothing as Portal, Nothing as Root };
