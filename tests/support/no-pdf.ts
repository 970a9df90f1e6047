/** Stands in for the package that draws sheets, which is a module that Jest cannot load. */
export const StyleSheet = { create: <T>(styles: T): T => styles };
export const Font = { register: () => undefined, registerHyphenationCallback: () => undefined };
export const renderToBuffer = async (): Promise<Buffer> => Buffer.from('%PDF');

const nothing = () => null;
export {
  nothing as Circle,
  nothing as Document,
  nothing as G,
  nothing as Image,
  nothing as Link,
  nothing as Page,
  nothing as Path,
  nothing as Rect,
  nothing as Svg,
  nothing as Text,
  nothing as View,
};
