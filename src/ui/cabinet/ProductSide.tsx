"use client";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { useForm } from "react-hook-form";
import { classRow } from "@/core/catalogue";
import type { StockLot } from "@/core/plan/stock";
import type { Problem } from "@/core/problem";
import { formatDate, formatGrams, inSentence } from "@/core/units";
import { send } from "../forms/send";
import { useRemove } from "../frame/Undo";
import { errorsByPath } from "../objects/PieceFields";
import { HatchSwatch } from "../signs/Hatches";
import { Sign } from "../signs/Sign";
import type { ProductRow } from "./columns";
import { FigureBars } from "./FigureBars";
import { LotFields, ProductFields } from "./ProductFields";
import { EMPTY_LOT, type Errors, type LotForm, lotForm, type ProductForm, productForm, readLot, readProduct } from "./productForm";

/** The selected product: its figures against its class's, its jars, and who wants it. */
export function ProductSide({ row }: { row: ProductRow }) {
  const { product, class_name, left_g, wanted } = row;
  const remove = useRemove();
  const [editing, setEditing] = useState(false);
  const [adding, setAdding] = useState(false);
  const material = classRow(product.class);
  const wants = wanted.reduce((sum, { grams }) => sum + grams, 0);
  return (
    <aside className="objects-side cabinet-side" aria-label="Selected product">
      <div className="flex items-start gap-3 pb-2">
        <HatchSwatch hatch={material.hatch} size={44} />
        <div className="min-w-0">
          <h2 className="clamp-3 text-[20px] leading-[24px]">{product.name}</h2>
          <p className="sub">
            {inSentence(class_name)}, {formatGrams(left_g)} left
          </p>
        </div>
      </div>
      {editing ? <EditProduct row={row} close={() => setEditing(false)} /> : <FigureBars product={product} />}
      {!editing && (
        <button type="button" className="btn small mt-2" onClick={() => setEditing(true)}>
          Change name or figures
        </button>
      )}
      <h3 className="rule mt-4 pt-2">Jars</h3>
      {product.lots.map((lot) => (
        <Jar key={`${lot.id} ${lot.version}`} lot={lot} />
      ))}
      {adding ? (
        <AddJar product={product.id} close={() => setAdding(false)} />
      ) : (
        <button type="button" className="btn small mt-2" onClick={() => setAdding(true)}>
          Another jar of it
        </button>
      )}
      <h3 className="rule mt-4 pt-2">Wanted by</h3>
      {wanted.length === 0 ? (
        <p className="dim">No open piece takes it.</p>
      ) : (
        <dl className="kv">
          {wanted.flatMap(({ treatment, piece, role, grams }) => [
            <dt key={`${treatment} ${role}`}>{piece}</dt>,
            <dd key={`${treatment} ${role} g`}>{formatGrams(grams)}</dd>,
          ])}
          <dt className="tot">Left after that</dt>
          <dd className="tot">{wants > left_g ? `${formatGrams(wants - left_g)} short` : formatGrams(left_g - wants)}</dd>
        </dl>
      )}
      <p className="sub pt-3">
        Food: {material.food}. Figures of the class: {material.source}.
      </p>
      <button
        type="button"
        className="link-btn mt-2"
        onClick={() => void remove({ kind: "products", id: product.id, name: product.name, goTo: "/cabinet" })}
      >
        Delete it with its jars
      </button>
    </aside>
  );
}

/** One jar: weigh it, or correct its dates. */
function Jar({ lot }: { lot: StockLot }) {
  const [open, setOpen] = useState(false);
  const facts = [lot.opened && `opened ${formatDate(lot.opened)}`, lot.expires ? `goes off ${formatDate(lot.expires)}` : "no date"]
    .filter(Boolean)
    .join(", ");
  return (
    <div className="border-b border-ash py-1">
      <div className="flex items-center justify-between gap-2">
        <span className="min-w-0">
          <b className="clamp-3">
            {lot.label}: {formatGrams(lot.left_g)} of {formatGrams(lot.size_g)}
          </b>
          <span className="sub">{facts}</span>
        </span>
        {!open && (
          <button type="button" className="btn small" onClick={() => setOpen(true)} aria-label={`Weigh it: jar ${lot.label}`}>
            Weigh it
          </button>
        )}
      </div>
      {open && (
        <JarForm
          start={lotForm(lot)}
          save={(value) => send("PUT", `/api/cabinet/lots/${lot.id}`, { version: lot.version, ...value })}
          close={() => setOpen(false)}
        />
      )}
    </div>
  );
}

function AddJar({ product, close }: { product: string; close: () => void }) {
  const id = useRef<string>(undefined);
  return (
    <JarForm
      start={{ ...EMPTY_LOT, label: "" }}
      save={(value) => {
        id.current ??= crypto.randomUUID();
        return send("POST", `/api/cabinet/products/${product}/lots`, { id: id.current, ...value });
      }}
      close={close}
    />
  );
}

interface JarFormProps {
  readonly start: LotForm;
  readonly save: (value: Omit<StockLot, "id" | "version">) => ReturnType<typeof send>;
  readonly close: () => void;
}

function JarForm({ start, save, close }: JarFormProps) {
  const router = useRouter();
  const form = useForm<LotForm>({ defaultValues: start });
  const [errors, setErrors] = useState<Errors>({});
  const [problem, setProblem] = useState<Problem>();
  const submit = form.handleSubmit(async (values) => {
    const read = readLot(values);
    setErrors(read.ok ? {} : read.errors);
    if (!read.ok) return;
    const sent = await save(read.value);
    setProblem(sent.ok ? undefined : sent.problem);
    if (!sent.ok) setErrors(errorsByPath(sent.problem.errors));
    if (sent.ok) close();
    if (sent.ok || sent.problem.status === 409) router.refresh();
  });
  return (
    <form className="grid gap-2 pt-2" onSubmit={submit} noValidate>
      <LotFields form={form} errors={errors} />
      <Trouble problem={problem} />
      <div className="btn-row">
        <button type="submit" className="btn small">
          Save the jar
        </button>
        <button type="button" className="link-btn" onClick={close}>
          Leave it as it was
        </button>
      </div>
    </form>
  );
}

function EditProduct({ row, close }: { row: ProductRow; close: () => void }) {
  const { product } = row;
  const router = useRouter();
  const form = useForm<ProductForm>({ defaultValues: productForm(product) });
  const [errors, setErrors] = useState<Errors>({});
  const [problem, setProblem] = useState<Problem>();
  const name = form.watch("class");
  const submit = form.handleSubmit(async (values) => {
    const read = readProduct(values);
    setErrors(read.ok ? {} : read.errors);
    if (!read.ok) return;
    const sent = await send("PUT", `/api/cabinet/products/${product.id}`, { version: product.version, ...read.value });
    setProblem(sent.ok ? undefined : sent.problem);
    if (!sent.ok) setErrors(errorsByPath(sent.problem.errors));
    if (sent.ok) close();
    if (sent.ok || sent.problem.status === 409) router.refresh();
  });
  return (
    <form className="grid gap-2" onSubmit={submit} noValidate>
      <ProductFields form={form} errors={errors} name={name} />
      <Trouble problem={problem} />
      <div className="btn-row">
        <button type="submit" className="btn small">
          Save the product
        </button>
        <button type="button" className="link-btn" onClick={close}>
          Leave it as it was
        </button>
      </div>
    </form>
  );
}

function Trouble({ problem }: { problem: Problem | undefined }) {
  if (!problem) return null;
  return (
    <div role="alert">
      <Sign name="never" wrap>
        {problem.title}. {problem.detail}
      </Sign>
    </div>
  );
}
