using Dapper;

namespace FaithfulBracket.Store;

/// <summary>A job in a list.</summary>
public sealed record ListedJob(
    long Id,
    string Title,
    string? Client,
    string Bench,
    string? BoardId,
    string? BlockId,
    string? CardId,
    string OpenedBy,
    string OpenedAt,
    bool Finished,
    bool Archived
);

/// <param name="Finished">Null lists both.</param>
/// <param name="Archived">Null lists both.</param>
/// <param name="Text">Somewhere in the title or the client's name.</param>
/// <param name="After">The last job of the part before; null begins.</param>
public sealed record JobListQuery(
    string? Bench,
    string? BoardId,
    bool? Finished,
    bool? Archived,
    string? Text,
    bool NewestFirst,
    long? After,
    int Limit
);

/// <summary>Jobs in parts, in the order in which they were opened.</summary>
public sealed class JobLists(ShopDatabase database)
{
    /// <summary>As SQLite gives it: it has no truth values.</summary>
    private sealed record Row(
        long Id,
        string Title,
        string? Client,
        string Bench,
        string? BoardId,
        string? BlockId,
        string? CardId,
        string OpenedBy,
        string OpenedAt,
        long Finished,
        long Archived
    );

    public IReadOnlyList<ListedJob> List(JobListQuery query)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<Row>(
                    $"""
                    select id, title, client, bench, board_id, block_id, card_id, opened_by, opened_at,
                        exists (select 1 from job_record r where r.job_id = job.id) as finished,
                        archived_at is not null as archived
                    from job
                    where (@Bench is null or bench = @Bench)
                        and (@BoardId is null or board_id = @BoardId)
                        and (@Finished is null or exists (select 1 from job_record r where r.job_id = job.id) = @Finished)
                        and (@Archived is null or (archived_at is not null) = @Archived)
                        and (@Text is null or instr(lower(title), lower(@Text)) > 0 or instr(lower(client), lower(@Text)) > 0)
                        and (@After is null or {(query.NewestFirst ? "id < @After" : "id > @After")})
                    order by id {(query.NewestFirst ? "desc" : "asc")}
                    limit @Limit
                    """,
                    query
                )
                .Select(r => new ListedJob(
                    r.Id,
                    r.Title,
                    r.Client,
                    r.Bench,
                    r.BoardId,
                    r.BlockId,
                    r.CardId,
                    r.OpenedBy,
                    r.OpenedAt,
                    r.Finished != 0,
                    r.Archived != 0
                )),
        ];
    }
}
