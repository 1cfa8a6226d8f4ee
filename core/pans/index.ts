export * from "./choosing/index.ts";
export * from "./packing/index.ts";
export * from "./shape/index.ts";
