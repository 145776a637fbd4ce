/** What is cut off: text wider than its place, or past the edge of the window, where nothing scrolls to it. */
export const cut = (page) =>
  page.evaluate(() => {
    const found = [];
    const words = (e) => [...e.childNodes].some((n) => n.nodeType === 3 && /\p{L}{2}/u.test(n.textContent));
    for (const e of document.querySelectorAll('body *')) {
      if (!words(e) || !e.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      const box = e.getBoundingClientRect();
      if (box.width < 2 || box.height < 2) continue;
      const style = getComputedStyle(e);
      // What ends in an ellipsis says that it goes on; what is for a screen reader alone has no size.
      if (style.textOverflow === 'ellipsis' || style.clipPath !== 'none') continue;
      const hides = /hidden|clip/;
      if (
        (hides.test(style.overflowX) && e.scrollWidth > e.clientWidth + 2) ||
        (hides.test(style.overflowY) && e.scrollHeight > e.clientHeight + 4)
      )
        found.push(`cut in itself: ${e.tagName} ${e.textContent.slice(0, 60)}`);
      let scrolls = false;
      for (let p = e.parentElement; p; p = p.parentElement)
        scrolls ||= /auto|scroll/.test(getComputedStyle(p).overflowX) && p.scrollWidth > p.clientWidth;
      if (!scrolls && (box.right > innerWidth + 1 || box.left < -1))
        found.push(`past the window: ${e.tagName} ${e.textContent.slice(0, 60)}`);
    }
    return [...new Set(found)];
  });

/** The teacher's places, within a class. */
export const places = [
  '',
  '/readers',
  '/readers/roster',
  '/readers/many',
  '/readers/lists',
  '/readers/guardians',
  '/readers/class',
  '/texts',
  '/texts/new',
  '/texts/copies',
  '/texts/word-lists',
  '/assignments',
  '/assignments/where',
  '/assignments/all',
  '/assignments/checks',
  '/assignments/checks/new',
  '/marking',
  '/goals',
  '/groups',
  '/history',
];

/** The lead's places. */
export const schoolPlaces = ['', '/classes', '/staff', '/imports', '/windows', '/years', '/chart', '/choices', '/log'];
