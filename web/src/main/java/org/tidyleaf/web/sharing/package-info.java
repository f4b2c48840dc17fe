/** Colleagues who work on the same leaf: who they are, and how one without an account gets one. */
@NullMarked
package org.tidyleaf.web.sharing;

import org.jspecify.annotations.NullMarked;
