/** What was tidied leaves in open formats. */
@NullMarked
package org.tidyleaf.web.export;

import org.jspecify.annotations.NullMarked;
