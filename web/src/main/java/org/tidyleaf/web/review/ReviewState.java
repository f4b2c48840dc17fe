package org.tidyleaf.web.review;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.web.leaf.OpenLeaf;
import org.tidyleaf.web.page.ProseHtml;

/** A leaf as the review shows it: every line, page and card. */
record ReviewState(OpenLeaf leaf, List<SheetLine> lines, List<SheetPage> pages, List<QuestionCard> cards) {

    /** Sent with the page itself; the others follow while the teacher already works. */
    private static final int LINES_AT_ONCE = 150;

    private static final int CARDS_AT_ONCE = 30;

    /** @param earlier a state of the same leaf: what did not change since is taken from it */
    static ReviewState of(OpenLeaf leaf, Optional<ReviewState> earlier) {
        String figures = figures(leaf);
        List<SheetLine> lines = SheetLine.of(leaf, figures, earlier);
        List<SheetPage> pages = SheetPage.of(leaf.source(), lines);
        return new ReviewState(leaf, lines, pages, QuestionCard.of(leaf.tidied(), new ProseHtml(figures), earlier));
    }

    static String figures(OpenLeaf leaf) {
        return "/leaf/" + leaf.id() + "/figure/";
    }

    /** The lines of a block, counted from 0. */
    List<SheetLine> lines(int block) {
        return part(lines, block, LINES_AT_ONCE);
    }

    List<QuestionCard> cards(int block) {
        return part(cards, block, CARDS_AT_ONCE);
    }

    List<Integer> lineBlocks() {
        return blocks(lines.size(), LINES_AT_ONCE);
    }

    List<Integer> cardBlocks() {
        return blocks(cards.size(), CARDS_AT_ONCE);
    }

    private static <T> List<T> part(List<T> all, int block, int size) {
        int from = Math.min(all.size(), Math.max(0, block) * size);
        return all.subList(from, Math.min(all.size(), from + size));
    }

    /** The blocks behind the first. */
    private static List<Integer> blocks(int count, int size) {
        return java.util.stream.IntStream.range(1, Math.max(1, (count + size - 1) / size))
                .boxed()
                .toList();
    }
}
