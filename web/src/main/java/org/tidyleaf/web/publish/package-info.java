/** Editions: frozen states of a leaf. */
@NullMarked
package org.tidyleaf.web.publish;

import org.jspecify.annotations.NullMarked;
