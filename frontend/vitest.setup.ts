// Every sentence there is, as it is there wherever a place stands.
import { fetchWords } from "./src/lib/say";

await fetchWords();
