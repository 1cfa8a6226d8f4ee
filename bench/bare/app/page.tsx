import { Button, Heading, Text } from "@chakra-ui/react";

/** What the yardstick shows: one heading, one line, one button. */
export function loader() {
	return { words: "A bare page" };
}

export default function Page({ loaderData }: { readonly loaderData: { words: string } }) {
	return (
		<main>
			<Heading>{loaderData.words}</Heading>
			<Text>of the same framework and component library.</Text>
			<Button>Press</Button>
		</main>
	);
}
