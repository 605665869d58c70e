// What of a page lies over something else, is cut, or sticks out. Returns sentences, none where all is
// well. Texts and controls are measured as they are painted, in px of the window.
() => {
  const LEAST = 3; // px that boxes may share: letters have air above and below
  const found = [];
  const name = (text) => '"' + text.trim().replace(/\s+/g, " ").slice(0, 40) + '"';
  const shown = (el) => el.checkVisibility({ opacityProperty: true, visibilityProperty: true });
  const spoken = (el) => !el.closest(".sr-only, [aria-hidden=true] text, [data-over]");

  // The part of a box that every scrolling or cutting ancestor lets be seen.
  const seen = (rect, el) => {
    let { left, top, right, bottom } = rect;
    for (let at = el; at && at !== document.documentElement; at = at.parentElement) {
      const style = getComputedStyle(at);
      if (style.overflowX !== "visible" || style.overflowY !== "visible") {
        const r = at.getBoundingClientRect();
        left = Math.max(left, r.left);
        top = Math.max(top, r.top);
        right = Math.min(right, r.right);
        bottom = Math.min(bottom, r.bottom);
      }
    }
    return { left, top, right, bottom };
  };
  const area = (r) => Math.max(0, r.right - r.left) * Math.max(0, r.bottom - r.top);
  // Which layer something is painted in: a foot that stays lies over what scrolls, on purpose.
  const layer = (el) => {
    for (let at = el; at; at = at.parentElement) {
      const p = getComputedStyle(at).position;
      if (p === "fixed" || p === "sticky") return at;
    }
    return null;
  };

  const boxes = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const el = node.parentElement;
    if (!node.data.trim() || !shown(el) || !spoken(el) || el.closest("script, style")) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    for (const rect of range.getClientRects()) {
      const box = seen(rect, el);
      if (area(box) < 4) continue;
      boxes.push({ el, box, text: node.data, layer: layer(el), rect });
    }
  }

  const width = document.documentElement.clientWidth;
  for (const { el, box, text, rect } of boxes) {
    if (box.right > width + 1 || box.left < -1) found.push(name(text) + " sticks out of the window");
    // cut by a parent that neither scrolls nor says with three dots that there is more
    for (let at = el; at && at !== document.body; at = at.parentElement) {
      const style = getComputedStyle(at);
      const r = at.getBoundingClientRect();
      if (at instanceof SVGElement) continue;
      if (style.overflowX === "hidden" && style.textOverflow !== "ellipsis" && rect.right > r.right + 2 && r.width > 1) {
        found.push(name(text) + " is cut at its right by " + Math.round(rect.right - r.right) + " px");
        break;
      }
      if (style.overflowY === "hidden" && rect.bottom > r.bottom + LEAST && rect.top < r.bottom - 2 && r.height > 1) {
        found.push(name(text) + " is cut at its foot by " + Math.round(rect.bottom - r.bottom) + " px");
        break;
      }
    }
  }

  // Over each other: sorted by their tops, so that only near ones are compared.
  boxes.sort((a, b) => a.box.top - b.box.top);
  for (let i = 0; i < boxes.length; i++) {
    const a = boxes[i];
    for (let j = i + 1; j < boxes.length && boxes[j].box.top < a.box.bottom; j++) {
      const b = boxes[j];
      if (a.layer !== b.layer) continue;
      if (a.el === b.el || (a.el.contains(b.el) && a.text === b.text)) continue;
      const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
      const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
      // a line of text has air above and below: a third of it may be shared
      const air = Math.min(a.box.bottom - a.box.top, b.box.bottom - b.box.top) / 3;
      if (across > LEAST && down > Math.max(LEAST, air)) {
        found.push(name(a.text) + " and " + name(b.text) + " lie over each other");
      }
    }
  }
  return [...new Set(found)].slice(0, 12);
};
