/** Every page of two books, small and large, asked for as a signed-in person asks. */
@NullMarked
package zinctally.bench.pages;

import org.jspecify.annotations.NullMarked;
