/** The application: pages, served by Spring Boot. */
@NullMarked
package zinctally.web;

import org.jspecify.annotations.NullMarked;
