/** The reader on a terminal, without the application around it. Start at {@link org.tidyleaf.cli.Main}. */
@NullMarked
package org.tidyleaf.cli;

import org.jspecify.annotations.NullMarked;
