/** The demo book, Wickmere Bee Yard: all made up. */
@NullMarked
package zinctally.demo;

import org.jspecify.annotations.NullMarked;
