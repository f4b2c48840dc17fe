package org.tidyleaf.web.account;

import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Lets every page name who is signed in. */
@ControllerAdvice
class SignedIn {

    @ModelAttribute("teacherName")
    String teacherName(@AuthenticationPrincipal @Nullable Teacher teacher) {
        return teacher == null ? "" : teacher.name();
    }
}
