/** What is cut off: text wider than its place, or past the edge of the window, where nothing scrolls to it. */
export const cut = (page) =>
  page.evaluate(() => {
    const found = [];
    for (const e of document.querySelectorAll('input'))
      if (e.value && e.checkVisibility() && e.clientWidth > 2 && e.scrollWidth > e.clientWidth + 2)
        found.push(`cut in its field: ${e.getAttribute('aria-label') ?? e.labels?.[0]?.textContent} ${e.value}`);
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

/** Text that is shown smaller than so many pixels. */
export const smaller = (page, least) =>
  page.evaluate((least) => {
    const found = [];
    for (const e of document.querySelectorAll('body *')) {
      const own = [...e.childNodes].some((n) => n.nodeType === 3 && /[\p{L}\d]/u.test(n.textContent));
      if (!own || !e.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      const box = e.getBoundingClientRect();
      if (box.width < 2 || box.height < 2 || getComputedStyle(e).clipPath !== 'none') continue;
      const size = parseFloat(getComputedStyle(e).fontSize);
      if (size < least) found.push(`${size} px: ${e.tagName} ${e.textContent.slice(0, 60)}`);
    }
    return [...new Set(found)];
  }, least);

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
  '/texts/bring',
  '/assignments',
  '/assignments/where',
  '/assignments/all',
  '/assignments/plans',
  '/assignments/classes',
  '/assignments/checks',
  '/assignments/checks/new',
  '/marking',
  '/goals',
  '/goals?by=group',
  '/groups',
  '/groups/meetings',
  '/signals',
  '/reports?days=Term',
  '/reports/over-time?days=Term',
  '/reports/questions?days=Term',
  '/reports/texts?days=Term',
  '/reports/log?days=Term',
  '/history',
];

/** The lead's places. */
export const schoolPlaces = [
  '',
  '/classes',
  '/staff',
  '/imports',
  '/windows',
  '/years',
  '/chart',
  '/choices',
  '/log',
  '/reports',
];
