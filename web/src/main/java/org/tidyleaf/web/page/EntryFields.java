package org.tidyleaf.web.page;

import java.util.List;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;

/**
 * The fields that stand inside a text, a table or beside a picture, filled with what was given so far.
 *
 * @param figures the address below which the pictures are, with its closing slash
 */
record EntryFields(String figures, Response response) {

    /** Gaps to type into. */
    ProseHtml text(TextEntry question) {
        return new ProseHtml(figures, gap -> typed(question, gap, "gap " + gap));
    }

    /** Gaps to choose a word of the bank for. */
    ProseHtml bank(GapMatch question) {
        return new ProseHtml(figures, gap -> chosen(question, gap, "gap " + gap, question.words()));
    }

    String table(TableEntry question) {
        ProseHtml html = new ProseHtml(figures, gap -> typed(question, gap, "cell " + gap));
        StringBuilder table = new StringBuilder("<div class=\"entry-table-frame\"><table class=\"entry-table\">");
        for (int row = 0; row < question.rows().size(); row++) {
            table.append("<tr>");
            for (int column = 0; column < question.rows().get(row).size(); column++) {
                Prose cell = question.rows().get(row).get(column);
                boolean head = row == 0 || column == 0 && cell.gapCount() == 0;
                String element = head && !cell.isEmpty() ? "th" : "td";
                table.append("<").append(element).append(">").append(html.html(cell));
                table.append("</").append(element).append(">");
            }
            table.append("</tr>");
        }
        return table.append("</table></div>").toString();
    }

    String places(PictureLabel question) {
        StringBuilder places = new StringBuilder();
        for (int i = 0; i < question.labels().size(); i++) {
            String label = question.labels().get(i);
            String field = question.words().isEmpty()
                    ? typed(question, i + 1, "name of " + label)
                    : chosen(question, i + 1, "name of " + label, question.words());
            places.append("<div class=\"picture-place\"><span class=\"picture-place-label\" aria-hidden=\"true\">")
                    .append(ProseHtml.escape(label))
                    .append("</span>")
                    .append(field)
                    .append("</div>");
        }
        return places.toString();
    }

    /** The text with every word to be chosen. */
    String words(Hottext question) {
        ProseHtml html = new ProseHtml(figures);
        Prose text = question.text();
        StringBuilder words = new StringBuilder(
                "<p class=\"answer-card-hint\">Choose the words in the text. Choose a word again to take it back.</p><p class=\"word-text\">");
        int at = 0;
        List<Hottext.Word> all = question.words();
        for (int i = 0; i < all.size(); i++) {
            Hottext.Word word = all.get(i);
            words.append(html.html(text.cut(at, word.from())))
                    .append("<label class=\"word\"><input type=\"checkbox\" name=\"")
                    .append(ProseHtml.escape(Responses.CHOSEN + question.id()))
                    .append("\" value=\"")
                    .append(i)
                    .append(response.chosen().contains(i) ? "\" checked><span>" : "\"><span>")
                    .append(html.html(text.cut(word.from(), word.to())))
                    .append("</span></label>");
            at = word.to();
        }
        return words.append(html.html(text.cut(at, Integer.MAX_VALUE)))
                .append("</p>")
                .toString();
    }

    private String value(int gap) {
        return gap <= response.entered().size() ? response.entered().get(gap - 1) : "";
    }

    private String typed(Question question, int gap, String name) {
        return "<input class=\"gap-entry\" autocomplete=\"off\" autocapitalize=\"off\" spellcheck=\"false\" name=\""
                + ProseHtml.escape(Responses.ENTERED + question.id()) + "\" aria-label=\"" + ProseHtml.escape(name)
                + "\" value=\"" + ProseHtml.escape(value(gap)) + "\">";
    }

    private String chosen(Question question, int gap, String name, List<String> words) {
        StringBuilder html = new StringBuilder("<select class=\"gap-entry\" name=\"")
                .append(ProseHtml.escape(Responses.ENTERED + question.id()))
                .append("\" aria-label=\"")
                .append(ProseHtml.escape(name))
                .append("\"><option value=\"\"></option>");
        for (String word : words) {
            String safe = ProseHtml.escape(word);
            html.append("<option value=\"")
                    .append(safe)
                    .append(word.equals(value(gap)) ? "\" selected>" : "\">")
                    .append(safe)
                    .append("</option>");
        }
        return html.append("</select>").toString();
    }
}
