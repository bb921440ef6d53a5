/**
 * Names the element that describes a field. By the element itself, not by its words: a browser that offers to fill in forms
 * looks through every field of the page again when the words of one's description change, and here they change with each key.
 */
export function describe(field: HTMLElement, id: string): void {
  const described = document.getElementById(id);
  if (described !== null && 'ariaDescribedByElements' in field) field.ariaDescribedByElements = [described];
  else field.setAttribute('aria-describedby', id);
}
