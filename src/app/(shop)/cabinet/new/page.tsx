import { NewProduct } from "@/ui/cabinet/NewProduct";

export const metadata = { title: "Put a jar in" };

export default function NewProductPage() {
  return <NewProduct />;
}
