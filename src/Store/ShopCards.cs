using Dapper;

namespace FaithfulBracket.Store;

/// <summary>The shop as its records name it.</summary>
/// <param name="Contact">Lines: where it is and how it is reached.</param>
/// <param name="Mark">A small picture; null without one.</param>
public sealed record ShopCard(string Name, string Contact, byte[]? Mark, string? MarkType, string ByInitials, string At)
{
    public static readonly ShopCard Unnamed = new("", "", null, null, "", "");
}

/// <summary>The shop's name, contact and mark; the last change stands, nothing is overwritten.</summary>
public sealed class ShopCards(ShopDatabase database, TimeProvider time)
{
    private const string Last =
        "select name, contact, mark, mark_type, by_initials, at from shop_card order by id desc limit 1";

    public ShopCard Now()
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<ShopCard>(Last) ?? ShopCard.Unnamed;
    }

    /// <param name="change">From what stands then.</param>
    public void Put(Func<ShopCard, ShopCard> change, string by) =>
        database.Change(
            (c, t) =>
            {
                var next = change(c.QuerySingleOrDefault<ShopCard>(Last, transaction: t) ?? ShopCard.Unnamed);
                c.Execute(
                    "insert into shop_card (name, contact, mark, mark_type, by_initials, at) "
                        + "values (@Name, @Contact, @Mark, @MarkType, @by, @at)",
                    new
                    {
                        next.Name,
                        next.Contact,
                        next.Mark,
                        next.MarkType,
                        by,
                        at = Stamp.Format(time),
                    },
                    t
                );
                return 0;
            }
        );
}
