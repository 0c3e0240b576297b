// What several parts ask of the page.
const NOT_TYPED_INTO = ['checkbox', 'radio', 'submit', 'button'];

export const isTyping = (element) => element instanceof HTMLElement
    && (element.matches('textarea, select, [contenteditable]') || (element.matches('input') && !NOT_TYPED_INTO.includes(element.type)));

export const isControl = (element) => element instanceof Element && element.matches('button, a[href], summary, input, [tabindex="0"]');

export const main = () => document.getElementById('main');

/** Listens for events of a kind on elements that a selector names, also on those that come later. */
export function on(kind, selector, act, options = false) {
    document.addEventListener(kind, (event) => {
        const element = event.target instanceof Element ? event.target.closest(selector) : null;
        if (element) act(element, event);
    }, options);
}

export function note(className, role, ...content) {
    const element = document.createElement('div');
    element.className = className;
    element.setAttribute('role', role);
    element.append(...content);
    return element;
}

/** Loads a picture, or null where the file is none. */
export const picture = (file) => createImageBitmap(file).catch(() => null);

/** Paints a picture onto a canvas whose longer side is no longer than that. */
export function painted(source, width, height, longest, settings = {}) {
    const scale = Math.min(1, longest / Math.max(width, height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
    const context = canvas.getContext('2d', settings);
    context.drawImage(source, 0, 0, canvas.width, canvas.height);
    return { canvas, context };
}
