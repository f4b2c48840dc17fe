/** Leaves in storage: source files, readings, decisions. Start at {@link org.tidyleaf.web.leaf.LeafService}. */
@NullMarked
package org.tidyleaf.web.leaf;

import org.jspecify.annotations.NullMarked;
