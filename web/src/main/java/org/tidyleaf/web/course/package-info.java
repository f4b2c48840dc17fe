/**
 * A simulated course system: it takes packages in over HTTP as a real one would, looks at them with a parser that shares
 * nothing with our exports, and shows what arrived. And the sender, which would serve a real one as well.
 */
@NullMarked
package org.tidyleaf.web.course;

import org.jspecify.annotations.NullMarked;
