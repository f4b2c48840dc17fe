package org.tidyleaf.question;

import java.util.List;

/**
 * Items to be brought into their right order.
 *
 * @param items as printed
 * @param key the 0-based places of the items in their right order; empty where nobody has said
 */
public record Order(Particulars particulars, List<Prose> items, List<Integer> key) implements Question {
    public Order {
        items = List.copyOf(items);
        key = List.copyOf(key);
        if (!key.isEmpty() && key.size() != items.size()) {
            throw new IllegalArgumentException(key.size() + " places for " + items.size() + " items");
        }
    }

    @Override
    public boolean isKeyed() {
        return !key.isEmpty();
    }

    @Override
    public QuestionType type() {
        return QuestionType.ORDER;
    }

    @Override
    public Order withParticulars(Particulars other) {
        return new Order(other, items, key);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.order(this);
    }
}
