import { PAGES, pageFor } from "./pages";

test.each([
  ["/", "/"],
  ["/ledger", "/ledger"],
  ["/sums", "/sums"],
  ["/ledger/", "/ledger"],
  ["/cards", "/cards"],
  ["/pieces/tern-ring/wall", "/pieces/any/stone"],
  ["/pieces/tern-ring", "/pieces/any/stone"],
  ["/pieces", null],
  ["/api/plan", null],
  ["/schema/piece.json", null],
  ["/ledgers", null],
])("for %s the page %s is kept", (address, page) => {
  expect(pageFor(address)).toBe(page);
  if (page !== null) expect(PAGES).toContain(page);
});
