import { connect, createServer, type Server, type Socket } from "node:net";
import { expect } from "@playwright/test";
import { MATCHED, newTreatment, noneTaken, SURVEYED, test, write } from "./support";

/** Stands between the app and its database, and can be shut. */
class Gate {
  private server: Server | undefined;
  private readonly sockets = new Set<Socket>();
  constructor(
    private readonly port: number,
    private readonly target: number,
  ) {}

  async open(): Promise<void> {
    this.server = createServer((client) => {
      const database = connect(this.target, "127.0.0.1");
      for (const socket of [client, database]) {
        this.sockets.add(socket);
        socket.on("error", () => undefined);
        socket.on("close", () => this.sockets.delete(socket));
      }
      client.pipe(database).pipe(client);
      client.on("close", () => database.destroy());
      database.on("close", () => client.destroy());
    });
    await new Promise<void>((resolve) => this.server?.listen(this.port, "127.0.0.1", resolve));
  }

  async shut(): Promise<void> {
    for (const socket of this.sockets) socket.destroy();
    await new Promise((resolve) => this.server?.close(resolve));
  }
}

const gate = new Gate(Number(new URL(process.env.E2E_AWAY_URL ?? "postgresql://x:1").port), Number(process.env.E2E_DATABASE_PORT));

test.describe.configure({ mode: "serial" });
test.beforeAll(() => gate.open());
test.afterAll(() => gate.shut());

test("with the database away: a clear page, what was typed is kept, and it goes up by itself once it is back", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/ready`);
  await gate.shut();

  await noneTaken(page);
  const notice = page.getByRole("alert", { name: "Not saved: the record is away" });
  await expect(notice).toContainText(/Kept here: .*photograph/i);
  // the next act follows without waiting for the record
  await page.getByRole("button", { name: /^Done: Wipe/ }).click();
  await expect(page.getByText("kept here, on its way")).toHaveCount(2);
  await page.getByRole("button", { name: "2 kept here" }).click();
  const list = page.getByRole("dialog", { name: "Kept here, on its way to the record" });
  await expect(list.getByText("Shooting-gallery mug")).toHaveCount(2);
  await page.keyboard.press("Escape");

  const visitor = await page.context().newPage();
  await visitor.goto("/");
  await expect(visitor.getByText("The record can’t be reached")).toBeVisible();
  await expect(visitor.getByText("tries again in")).toBeVisible();
  expect((await visitor.request.get("/api/health")).status()).toBe(503);
  expect(
    (await visitor.request.post("/api/climate", { data: { source: "hand", temp_C: 20, rh_pct: 50 } })).headers()["content-type"],
  ).toContain("problem+json");
  await visitor.goto("/objects/new");
  await visitor.getByLabel("What is it?").fill("Typed in the dark");
  await visitor.getByLabel("Mark").fill("T-DARK");
  await visitor.getByLabel("Kind of piece").selectOption("other");
  await visitor.getByLabel("Damaged part").fill("top");
  await visitor.getByLabel("Made of").selectOption("hardwood");
  await visitor.getByLabel("Finish on it").selectOption("none");
  await visitor.getByLabel("What is to be mended?").fill("dent");
  await visitor.getByRole("button", { name: "Enter it, go to Survey" }).click();
  await expect(visitor.getByText(/The fields keep what you typed/)).toBeVisible();
  await expect(visitor.getByLabel("What is it?")).toHaveValue("Typed in the dark");

  await page.reload();
  await expect(page.getByText("The record can’t be reached")).toBeVisible();
  await expect(page.getByRole("button", { name: "2 kept here" })).toBeVisible();
  await gate.open();

  await expect(page.getByRole("heading", { name: /Shooting-gallery mug/ })).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText("2 behind")).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole("button", { name: /kept here/ })).toHaveCount(0);
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  expect(kept.log.map(({ body }: { body: { kind: string; op?: string } }) => body.op ?? body.kind).slice(2)).toEqual([
    "r1/ready/photograph",
    expect.stringContaining("r1/ready/clean"),
  ]);
  await visitor.getByRole("button", { name: "Enter it, go to Survey" }).click();
  await expect(visitor).toHaveURL(/\/survey$/);
  await visitor.goto("/");
  await expect(visitor.getByText("The record can’t be reached")).toHaveCount(0);
});
