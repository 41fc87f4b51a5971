// Runs before the page is drawn. Until its script has taken the page over, a press would do nothing, a form would put what was typed into
// the address, and what was typed would be lost: presses and texts are kept here, said on the button, and handed over once it has.
(() => {
  const root = document.documentElement;
  const pressed = new Set();
  const typed = new Map();
  const isReady = () => root.dataset.ready === "true";
  const PRESSABLE = "button, [role=button], input[type=checkbox], input[type=radio], input[type=submit]";

  const onPress = (event) => {
    const target = event.target instanceof Element ? event.target.closest(PRESSABLE) : null;
    if (isReady() || target === null) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    pressed.add(target);
    target.dataset.waits = "true";
    target.setAttribute("aria-busy", "true");
  };
  const onSubmit = (event) => {
    if (!isReady()) event.preventDefault();
  };
  const onInput = (event) => {
    if (!isReady() && "value" in event.target) typed.set(event.target, event.target.value);
  };
  window.addEventListener("click", onPress, true);
  window.addEventListener("submit", onSubmit, true);
  window.addEventListener("input", onInput, true);

  // the framework overrides `value` on the element: its own setter is asked
  const write = (element, value) => {
    const { set } = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(element), "value") ?? {};
    set?.call(element, value);
    for (const type of ["input", "change"]) element.dispatchEvent(new Event(type, { bubbles: true }));
  };
  const handOver = () => {
    window.removeEventListener("click", onPress, true);
    window.removeEventListener("submit", onSubmit, true);
    window.removeEventListener("input", onInput, true);
    for (const [element, value] of typed) if (element.isConnected) write(element, value);
    for (const target of pressed) {
      delete target.dataset.waits;
      target.removeAttribute("aria-busy");
      if (target.isConnected) target.click();
    }
  };
  new MutationObserver((_, observer) => {
    if (!isReady()) return;
    observer.disconnect();
    // what was typed is in the page before what was pressed asks for it
    setTimeout(handOver);
  }).observe(root, { attributeFilter: ["data-ready"] });
})();
