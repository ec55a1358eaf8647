using Dapper;

namespace FaithfulBracket.Store;

/// <summary>A job that rests on a document.</summary>
public sealed record UsingJob(long Id, string Title, bool Finished);

/// <summary>Which jobs rest on a document of the library.</summary>
public sealed class DocumentUse(ShopDatabase database)
{
    /// <summary>
    /// The newest first. A socket is named by no job itself: those with a processor in a socket are told, and which
    /// one it is says their order.
    /// </summary>
    /// <param name="kind">board, block, card, socket or machine.</param>
    public IReadOnlyList<UsingJob> Jobs(string kind, string id)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<(long Id, string Title, long Finished)>(
                    $"""
                    select j.id, j.title, exists (select 1 from job_record r where r.job_id = j.id)
                    from job j where {Named(kind)} order by j.id desc
                    """,
                    new { id }
                )
                .Select(r => new UsingJob(r.Id, r.Title, r.Finished != 0)),
        ];
    }

    /// <summary>Whether a job j names a document.</summary>
    /// <param name="id">Where its id stands in the statement.</param>
    internal static string Named(string kind, string id = "@id") =>
        kind switch
        {
            "board" => $"""
                j.board_id = {id} or json_extract(j.work, '$.seat.processorId') = {id}
                or exists (select 1 from json_each(j.work, '$.pieces') e where json_extract(e.value, '$.boardId') = {id})
                """,
            "block" => $"""
                j.block_id = {id}
                or exists (select 1 from json_each(j.work, '$.pairs') e where json_extract(e.value, '$.blockId') = {id})
                """,
            "card" => $"j.card_id = {id}",
            "socket" => "json_extract(j.work, '$.seat') is not null",
            "machine" => $"json_extract(j.work, '$.machine') = {id}",
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, null),
        };
}
