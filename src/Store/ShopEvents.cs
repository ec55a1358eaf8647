using System.Text.Json;
using Dapper;
using FaithfulBracket.Store.Words;

namespace FaithfulBracket.Store;

/// <summary>Where events are sent.</summary>
/// <param name="Kinds">Which ones.</param>
/// <param name="IsOpen">Whether anything is sent.</param>
/// <param name="Since">What happened before is not told.</param>
public sealed record EventTarget(string Address, IReadOnlyList<string> Kinds, bool IsOpen, string Since);

/// <summary>Something that happened, told once.</summary>
/// <param name="Subject">What it happened to, so that the same is not told again.</param>
/// <param name="Body">As it is sent.</param>
public sealed record NewShopEvent(string Kind, string Subject, string Body);

/// <param name="What">Title of the job or name of the item.</param>
/// <param name="NextAt">When it is sent next; null once it arrived or was given up.</param>
/// <param name="Answer">What the address answered last, or why it could not be asked.</param>
public sealed record ShopEventRow(
    long Id,
    string Kind,
    string? What,
    string At,
    long Tries,
    string? NextAt,
    string? DeliveredAt,
    string? Answer
);

/// <param name="DueAt">Promised for then.</param>
public sealed record HappenedJob(long Id, string Title, string Bench, string? DueAt);

/// <summary>Events for the shop's other tools: what to tell, what was told, what waits to be told again.</summary>
public sealed class ShopEvents(ShopDatabase database, TimeProvider time)
{
    /// <summary>
    /// So many are kept whole once they arrived or were given up; of older ones only that they were told, so that they are not
    /// told again.
    /// </summary>
    public const int MaxKept = 500;

    private const string Columns =
        "id, kind, coalesce(json_extract(body, '$.data.title'), json_extract(body, '$.data.name')), at, tries, next_at, "
        + "delivered_at, answer";

    /// <returns>Null while none was named.</returns>
    public EventTarget? Target()
    {
        using var c = database.Open();
        return
            c.QuerySingleOrDefault<(string Address, string Kinds, long IsOpen, string Since)?>(
                "select address, kinds, is_open, since from event_target order by id desc limit 1"
            )
                is { } row
            ? new(row.Address, JsonSerializer.Deserialize<List<string>>(row.Kinds)!, row.IsOpen != 0, row.Since)
            : null;
    }

    /// <summary>What happens from now on is told there; nothing that waited for another address is.</summary>
    public void Put(string address, IReadOnlyList<string> kinds, bool isOpen, string by) =>
        database.Change(
            (c, t) =>
            {
                var now = Stamp.Format(time);
                c.Execute("update shop_event set next_at = null where next_at is not null", transaction: t);
                return c.Execute(
                    "insert into event_target (address, kinds, is_open, since, by_initials, at) values (@address, @kinds, @isOpen, @now, @by, @now)",
                    new
                    {
                        address,
                        kinds = JsonSerializer.Serialize(kinds),
                        isOpen = isOpen ? 1 : 0,
                        now,
                        by,
                    },
                    t
                );
            }
        );

    /// <summary>Jobs opened since then of which this was not told.</summary>
    public IReadOnlyList<HappenedJob> Opened(string kind, string since) =>
        Jobs(kind, "j.opened_at >= @since", "j.id", since);

    /// <summary>Jobs finished since then of which this was not told.</summary>
    public IReadOnlyList<HappenedJob> Finished(string kind, string since) =>
        Jobs(kind, "exists (select 1 from job_record r where r.job_id = j.id and r.at >= @since)", "j.id", since);

    /// <summary>Jobs that are not finished and were promised for before now, each promise told once.</summary>
    public IReadOnlyList<HappenedJob> Late(string kind) =>
        Jobs(
            kind,
            $"""
            j.archived_at is null and not exists (select 1 from job_record r where r.job_id = j.id) and {DueAt} < @since
            """,
            $"j.id || ' ' || {DueAt}",
            Stamp.Format(time)
        );

    private const string DueAt = "(select due_at from job_promise p where p.job_id = j.id order by p.id desc limit 1)";

    private List<HappenedJob> Jobs(string kind, string where, string subject, string since)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<HappenedJob>(
                $"""
                select j.id as Id, j.title as Title, j.bench as Bench, {DueAt} as DueAt
                from job j where {where} and not exists (
                    select 1 from shop_event e where e.kind = @kind and e.subject = cast({subject} as text))
                order by j.id
                """,
                new { kind, since }
            ),
        ];
    }

    /// <summary>Of what runs short, that which was not told since there was enough of it.</summary>
    public IReadOnlyList<string> NewlyLow(IReadOnlyList<string> low)
    {
        using var c = database.Open();
        return [.. low.Except(c.Query<string>("select item from event_low"))];
    }

    /// <summary>Adds what has not been told yet, and keeps which items run short.</summary>
    public void Add(IReadOnlyList<NewShopEvent> events, IReadOnlyList<string> low) =>
        database.Change(
            (c, t) =>
            {
                var now = Stamp.Format(time);
                c.Execute("delete from event_low where item not in @low", new { low }, t);
                c.Execute(
                    "insert into event_low (item) values (@item) on conflict do nothing",
                    low.Select(item => new { item }),
                    t
                );
                return c.Execute(
                    "insert into shop_event (kind, subject, body, at, next_at) values (@Kind, @Subject, @Body, @now, @now) on conflict do nothing",
                    events.Select(e => new
                    {
                        e.Kind,
                        e.Subject,
                        e.Body,
                        now,
                    }),
                    t
                );
            }
        );

    public bool LowChanged(IReadOnlyList<string> low)
    {
        using var c = database.Open();
        return !c.Query<string>("select item from event_low").ToHashSet().SetEquals(low);
    }

    /// <summary>What is to be sent now, the oldest first.</summary>
    public IReadOnlyList<(long Id, long Tries, string Body)> Due(int most)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(long, long, string)>(
                "select id, tries, body from shop_event where next_at <= @now order by id limit @most",
                new { now = Stamp.Format(time), most }
            ),
        ];
    }

    /// <summary>Keeps how a sending went.</summary>
    /// <param name="again">In how long it is tried again; null for no more.</param>
    public void Sent(long id, bool arrived, string answer, TimeSpan? again) =>
        database.Change(
            (c, t) =>
            {
                var now = time.GetUtcNow();
                c.Execute(
                    "update shop_event set tries = tries + 1, answer = @answer, delivered_at = @delivered, next_at = @next where id = @id",
                    new
                    {
                        id,
                        answer,
                        delivered = arrived ? Stamp.Format(now) : null,
                        next = again is { } wait ? Stamp.Format(now + wait) : null,
                    },
                    t
                );
                return c.Execute(
                    "update shop_event set body = '{}' where next_at is null and body <> '{}' and id <= (select max(id) from shop_event) - @MaxKept",
                    new { MaxKept },
                    t
                );
            }
        );

    /// <summary>Sends one again, now.</summary>
    /// <exception cref="NotFoundException">No such event.</exception>
    public void Again(long id)
    {
        var found = database.Change(
            (c, t) =>
                c.Execute(
                    "update shop_event set next_at = @now, delivered_at = null, tries = 0 where id = @id",
                    new { id, now = Stamp.Format(time) },
                    t
                )
        );
        if (found == 0)
            throw new NotFoundException(ShopEventsWords.ThereIsNoEvent(id));
    }

    /// <summary>The last ones, newest first.</summary>
    public IReadOnlyList<ShopEventRow> Last(int most)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(long, string, string?, string, long, string?, string?, string?)>(
                    $"select {Columns} from shop_event order by id desc limit @most",
                    new { most }
                )
                .Select(r => new ShopEventRow(
                    r.Item1,
                    r.Item2,
                    r.Item3,
                    r.Item4,
                    r.Item5,
                    r.Item6,
                    r.Item7,
                    r.Rest.Item1
                )),
        ];
    }
}
