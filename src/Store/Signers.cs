using Dapper;

namespace FaithfulBracket.Store;

/// <summary>Who signs in this shop.</summary>
/// <param name="Name">Empty until somebody gives one.</param>
/// <param name="Colour">Of the stamp, by name.</param>
/// <param name="Works">Whether hands are calculated with in the day.</param>
/// <param name="LeftAt">Since when nothing more is signed with these initials; null for who is here.</param>
/// <param name="Signatures">Sign-offs so far.</param>
public sealed record SignerRow(
    string Initials,
    string Name,
    string Colour,
    bool Works,
    string? LeftAt,
    long Signatures
);

/// <param name="LeftAt">Since when nothing more is signed with these initials; null for somebody who is here.</param>
public sealed record EnteredSigner(string Initials, string? LeftAt);

/// <summary>Who signs: initials, names, stamps. Who left stays in the record under the same initials.</summary>
public sealed class Signers(ShopDatabase database, TimeProvider time)
{
    private const string UsualColour = "ink";

    /// <summary>Everybody who was entered or ever signed or opened a job, by initials.</summary>
    public IReadOnlyList<SignerRow> All()
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(string Initials, string? Name, string? Colour, long? Works, string? LeftAt, long Signatures)>(
                    """
                    select i.initials, s.name, s.colour, s.works, s.left_at,
                        (select count(*) from step_event e where e.by_initials = i.initials and e.kind = 'done') as signatures
                    from (select initials from signer union select by_initials from step_event union select opened_by from job) i
                    left join signer s on s.initials = i.initials order by i.initials
                    """
                )
                .Select(r => new SignerRow(
                    r.Initials,
                    r.Name ?? "",
                    r.Colour ?? UsualColour,
                    r.Works is not 0,
                    r.LeftAt,
                    r.Signatures
                )),
        ];
    }

    /// <summary>Everybody the workshop knows, without counts.</summary>
    public IReadOnlyList<EnteredSigner> Entered()
    {
        using var c = database.Open();
        return [.. c.Query<EnteredSigner>("select initials, left_at as leftAt from signer")];
    }

    /// <summary>Enters initials that act for the first time; those that are known stay as they are.</summary>
    public void Enter(string initials) =>
        database.Change(
            (c, t) =>
                c.Execute(
                    "insert into signer (initials, name, colour, works, at) values (@initials, '', @colour, 1, @at) on conflict do nothing",
                    new
                    {
                        initials,
                        colour = UsualColour,
                        at = Stamp.Format(time),
                    },
                    t
                )
        );

    /// <param name="left">Whether somebody is gone; the day of leaving is kept.</param>
    public void Put(string initials, string name, string colour, bool works, bool left) =>
        database.Change(
            (c, t) =>
                c.Execute(
                    """
                    insert into signer (initials, name, colour, works, left_at, at)
                    values (@initials, @name, @colour, @works, @leftAt, @now)
                    on conflict (initials) do update set name = excluded.name, colour = excluded.colour, works = excluded.works,
                        left_at = case when excluded.left_at is null then null else coalesce(signer.left_at, excluded.left_at) end,
                        at = excluded.at
                    """,
                    new
                    {
                        initials,
                        name,
                        colour,
                        works = works ? 1 : 0,
                        leftAt = left ? Stamp.Format(time) : null,
                        now = Stamp.Format(time),
                    },
                    t
                )
        );
}
