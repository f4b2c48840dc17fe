/**
 * Plain text, Markdown, HTML and what is pasted. Start at {@link org.tidyleaf.intake.text.TextFormat}, {@link
 * org.tidyleaf.intake.text.MarkdownFormat} and {@link org.tidyleaf.intake.text.HtmlFormat}.
 */
@NullMarked
package org.tidyleaf.intake.text;

import org.jspecify.annotations.NullMarked;
