/** Sittings, candidates' scripts and their results. */
@NullMarked
package org.tidyleaf.web.sitting;

import org.jspecify.annotations.NullMarked;
