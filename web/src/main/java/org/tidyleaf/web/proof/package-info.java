/** A leaf as a candidate will see it, for trying out. */
@NullMarked
package org.tidyleaf.web.proof;

import org.jspecify.annotations.NullMarked;
