import { type ReactNode, StrictMode, startTransition, useEffect } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { keepTypedBefore } from "./ui/forms/typedBefore.ts";

const putBack = keepTypedBefore(document);

/** Once everything inside has been taken over. */
function TakenOver({ children }: { readonly children: ReactNode }) {
	useEffect(putBack, []);
	return children;
}

startTransition(() => {
	hydrateRoot(
		document,
		<StrictMode>
			<TakenOver>
				<HydratedRouter />
			</TakenOver>
		</StrictMode>,
	);
});
