using Dapper;

namespace FaithfulBracket.Store;

/// <summary>A job in a list.</summary>
public sealed record ListedJob
{
    public long Id { get; init; }
    public string Title { get; init; } = "";
    public string? Client { get; init; }
    public string Bench { get; init; } = "";
    public string? BoardId { get; init; }
    public string? BlockId { get; init; }
    public string? CardId { get; init; }
    public string OpenedBy { get; init; } = "";
    public string OpenedAt { get; init; } = "";
    public bool Finished { get; init; }
    public bool Archived { get; init; }
}

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
    public IReadOnlyList<ListedJob> List(JobListQuery query)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<ListedJob>(
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
            ),
        ];
    }
}
