// Random tests start from one seed, so that a run can be had again: SEED=number npm test. What fails prints it.
const fc = require("fast-check");

const seed = Number(process.env.SEED ?? 20261125);
fc.configureGlobal({ seed });
