/** Made-up data that shows the program at work; loaded by the profile "demo" only. */
@NullMarked
package org.tidyleaf.web.demo;

import org.jspecify.annotations.NullMarked;
