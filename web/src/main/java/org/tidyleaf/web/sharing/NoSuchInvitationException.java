package org.tidyleaf.web.sharing;

import org.tidyleaf.web.page.NotHereException;

/** A code that was never given out, or that served already. */
class NoSuchInvitationException extends NotHereException {
    private static final long serialVersionUID = 1L;

    NoSuchInvitationException(String code) {
        super(
                "no invitation " + code,
                "This link has served already",
                "If you made your account with it, sign in. If not, ask your colleague to share the test once more.");
    }
}
