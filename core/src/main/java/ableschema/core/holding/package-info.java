/**
 * What the values of an attribute are to people, the type that follows from that, how full its column gets, and what it could be
 * otherwise. Depends on the design, its edits and the dialects.
 */
@org.jspecify.annotations.NullMarked
package ableschema.core.holding;
