package org.tidyleaf.web.review;

import org.springframework.ui.Model;

/** What a decision changed, for a browser that showed the state before it. */
record Reviewed(ReviewPage page, ReviewChanges changes) {

    /** Puts it into the model; gives the view that shows it. */
    String in(Model model) {
        model.addAttribute("page", page);
        model.addAttribute("changes", changes);
        return changes.isLarge() ? "review/changes :: anew" : "review/changes :: changes";
    }
}
