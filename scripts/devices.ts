import { printerServer, SimulatedLabelPrinter } from "../server/devices/labelPrinter.ts";
import { controlServer, SimulatedProbes } from "../server/devices/simulatedProbes.ts";

/** `npm run devices`: wireless probes and a label printer that are not there, for a house that is running. */

const TURN_MS = 2000;
const house = process.env.WT_HOUSE || `http://127.0.0.1:${process.env.PORT || 3140}`;
const probesPort = Number(process.env.WT_PROBES_PORT || 3141);
const printerPort = Number(process.env.WT_PRINTER_PORT || 3142);
const probes = new SimulatedProbes({ house, every_ms: Number(process.env.WT_PROBES_EVERY_MS || 10_000) });

controlServer(probes).listen(probesPort, "127.0.0.1", () => {
	console.log(`Simulated probes for ${house}: http://127.0.0.1:${probesPort}/`);
});
printerServer(new SimulatedLabelPrinter()).listen(printerPort, "127.0.0.1", () => {
	console.log(`Simulated label printer: http://127.0.0.1:${printerPort}/`);
});

let turning = false;
setInterval(async () => {
	if (turning) return;
	turning = true;
	await probes.turn();
	turning = false;
}, TURN_MS);
