// Letters of names beyond ours: each script in a font of its own, fetched only where a letter of it stands on the page (unicode-range).
import "@fontsource-variable/noto-sans";
import "@fontsource-variable/noto-sans-arabic";
import "@fontsource-variable/noto-sans-devanagari";
import "@fontsource-variable/noto-sans-hebrew";
import "@fontsource-variable/noto-sans-sc";
import "@fontsource-variable/noto-sans-thai";
import "@fontsource-variable/noto-emoji";
