/** The page with source and questions side by side, where a reading is corrected. */
@NullMarked
package org.tidyleaf.web.review;

import org.jspecify.annotations.NullMarked;
