package org.tidyleaf.web.sharing;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.tidyleaf.web.account.AccountService;
import org.tidyleaf.web.leaf.LeafService;

/** Shares leaves with colleagues. Only its owner shares a leaf or ends that. */
@Service
class SharingService {
    private static final int CODE_BYTES = 16;

    private final LeafService leaves;
    private final AccountService accounts;
    private final InvitationRepository invitations;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    SharingService(LeafService leaves, AccountService accounts, InvitationRepository invitations, Clock clock) {
        this.leaves = leaves;
        this.accounts = accounts;
        this.invitations = invitations;
        this.clock = clock;
    }

    /** Somebody asked by mail address to join, with the code of the link to pass on. */
    record Invited(String mail, String code) {}

    /**
     * Who works on a leaf.
     *
     * @param owned whether the one who asks may change that
     */
    record Sharing(boolean owned, List<AccountService.Colleague> colleagues, List<Invited> invited) {}

    @Transactional(readOnly = true)
    public Sharing sharing(UUID account, UUID leaf) {
        leaves.open(account, leaf);
        boolean owned = leaves.isOwner(account, leaf);
        List<Invited> invited = owned
                ? invitations.findByLeafIdAndUsedAtIsNullOrderByMadeAt(leaf).stream()
                        .map(invitation -> new Invited(invitation.mail, invitation.code))
                        .toList()
                : List.of();
        return new Sharing(owned, accounts.all(leaves.sharedWith(leaf)), invited);
    }

    /** Shares at once with somebody who has an account; for anybody else a link is made. */
    @Transactional
    public void share(UUID owner, UUID leaf, String mail) {
        if (!leaves.isOwner(owner, leaf)) {
            return;
        }
        Optional<AccountService.Colleague> known = accounts.find(mail);
        if (known.isPresent()) {
            if (!known.get().id().equals(owner)) {
                leaves.share(leaf, known.get().id());
            }
        } else {
            byte[] code = new byte[CODE_BYTES];
            random.nextBytes(code);
            invitations.save(new InvitationEntity(HexFormat.of().formatHex(code), leaf, mail.strip(), clock.instant()));
        }
    }

    @Transactional
    public void unshare(UUID owner, UUID leaf, UUID colleague) {
        leaves.unshare(owner, leaf, colleague);
    }

    /** The mail address that an unused code was made for. */
    @Transactional(readOnly = true)
    public Optional<String> invited(String code) {
        return invitations.findByCodeAndUsedAtIsNull(code).map(invitation -> invitation.mail);
    }

    /** Makes the account the code was meant for and shares the leaf with it; a code serves once. */
    @Transactional
    public void join(String code, String name, String password) {
        invitations.findByCodeAndUsedAtIsNull(code).ifPresent(invitation -> {
            UUID account = accounts.find(invitation.mail)
                    .map(AccountService.Colleague::id)
                    .orElseGet(() -> accounts.make(name, invitation.mail, password));
            leaves.share(invitation.leafId, account);
            invitation.usedAt = clock.instant();
        });
    }
}
