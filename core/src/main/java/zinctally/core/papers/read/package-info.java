/**
 * Reading cells and rows as they were typed. Readers are not null-marked: what cannot be read is
 * null, its fault is said where it stands, and no paper is made while there is a fault.
 */
@NullMarked
package zinctally.core.papers.read;

import org.jspecify.annotations.NullMarked;
