/** Who may sign in, and how. */
@NullMarked
package org.tidyleaf.web.account;

import org.jspecify.annotations.NullMarked;
