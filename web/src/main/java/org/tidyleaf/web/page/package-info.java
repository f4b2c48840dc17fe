/** What all pages share: how prose becomes HTML, headers, error pages. */
@NullMarked
package org.tidyleaf.web.page;

import org.jspecify.annotations.NullMarked;
