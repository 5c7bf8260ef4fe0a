/** Pages of Prove. */
@NullMarked
package zinctally.web.prove;

import org.jspecify.annotations.NullMarked;
