/** Recipes: what goods are made of, and what is missing for it. */
@NullMarked
package zinctally.store.make;

import org.jspecify.annotations.NullMarked;
