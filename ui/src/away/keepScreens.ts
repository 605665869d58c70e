/**
 * Keeps the screens on this device, so that they open without the server. Newer ones are put in
 * place once nobody looks: what is being typed is not taken away under somebody's hands.
 */
export function keepScreens(): void {
  if (import.meta.env.DEV || !("serviceWorker" in navigator)) return;
  const screens = navigator.serviceWorker;
  const before = screens.controller;
  screens.addEventListener("controllerchange", () => {
    if (!before) return;
    document.addEventListener("visibilitychange", () => {
      if (document.hidden) location.reload();
    });
  });
  // Where it is not allowed to, as over a plain address, the screens are fetched as ever.
  screens.register("/sw.js").catch(() => undefined);
}
