using System.Data.Common;
using System.Text;
using Dapper;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>What a job is found by: one text a field.</summary>
/// <param name="Documents">Ids of boards, blocks, cards and machines, for the job's kin.</param>
public sealed record JobWords(
    string Title,
    string Client,
    string Board,
    string Block,
    string Part,
    string Fault,
    string Signer,
    string Date,
    string Note,
    IReadOnlyList<string> Documents
);

/// <param name="Field">The field that says it best.</param>
/// <param name="Snippet">The words around what was found, with the found ones in brackets.</param>
public sealed record FoundJob(long Id, string Title, string? Client, bool Finished, string Field, string Snippet);

/// <summary>Full-text search over every job ever done, kept with the jobs' summaries.</summary>
public sealed class JobSearch(ShopDatabase database)
{
    public const int MaxWords = 12;

    /// <summary>Columns of the index, as they can be named in a search: signer:qa.</summary>
    public static readonly IReadOnlyList<string> Fields =
    [
        "title",
        "client",
        "board",
        "block",
        "part",
        "fault",
        "signer",
        "date",
        "note",
    ];

    internal static void Put(SqliteConnection c, DbTransaction t, long jobId, JobWords words)
    {
        c.Execute("delete from job_search where rowid = @jobId", new { jobId }, t);
        c.Execute(
            """
            insert into job_search (rowid, title, client, board, block, part, fault, signer, date, note)
            values (@jobId, @Title, @Client, @Board, @Block, @Part, @Fault, @Signer, @Date, @Note)
            """,
            new
            {
                jobId,
                words.Title,
                words.Client,
                words.Board,
                words.Block,
                words.Part,
                words.Fault,
                words.Signer,
                words.Date,
                words.Note,
            },
            t
        );
        c.Execute("delete from job_document where job_id = @jobId", new { jobId }, t);
        foreach (var document in words.Documents.Distinct())
            c.Execute(
                "insert into job_document (document, job_id) values (@document, @jobId)",
                new { document, jobId },
                t
            );
    }

    /// <param name="text">Words, each of which has to be found; "field:word" looks in one field only.</param>
    public IReadOnlyList<FoundJob> Find(string text, int most)
    {
        var query = Query(text);
        if (query.Length == 0)
            return [];
        using var c = database.Open();
        var snippets = string.Join(
            ", ",
            Fields.Select((f, i) => $"snippet(job_search, {i}, '[', ']', '…', 10) as {f}_found")
        );
        var found = c.Query(
                $"select rowid as id, {snippets} from job_search where job_search match @query order by rowid desc limit @most",
                new { query, most }
            )
            .Cast<IDictionary<string, object?>>()
            .ToList();
        var jobs = c.Query<(long Id, string Title, string? Client, long Finished)>(
                """
                select j.id, j.title, j.client, coalesce(s.finished, 0)
                from job j left join job_summary s on s.job_id = j.id where j.id in @ids
                """,
                new { ids = found.ConvertAll(f => (long)f["id"]!) }
            )
            .ToDictionary(j => j.Id);
        return
        [
            .. found.Select(f =>
            {
                var job = jobs[(long)f["id"]!];
                // notes and faults say more than a title that is shown anyway
                var field = Fields.LastOrDefault(x =>
                    (f[$"{x}_found"] as string)?.Contains('[', StringComparison.Ordinal) == true
                );
                return new FoundJob(
                    job.Id,
                    job.Title,
                    job.Client,
                    job.Finished != 0,
                    field ?? Fields[0],
                    field is null ? job.Title : (string)f[$"{field}_found"]!
                );
            }),
        ];
    }

    /// <summary>Every word as a quoted prefix: nothing typed is an operator.</summary>
    internal static string Query(string text)
    {
        var query = new StringBuilder();
        var printed = new string([.. text.Select(c => char.IsControl(c) ? ' ' : c)]);
        foreach (var word in printed.Split(' ', StringSplitOptions.RemoveEmptyEntries).Take(MaxWords))
        {
            var colon = word.IndexOf(':', StringComparison.Ordinal);
            var field =
                colon > 0 && Fields.Contains(word[..colon].ToLowerInvariant())
                    ? word[..colon].ToLowerInvariant()
                    : null;
            var plain = (field is null ? word : word[(colon + 1)..]).Replace("\"", "", StringComparison.Ordinal);
            if (!plain.Any(char.IsLetterOrDigit))
                continue;
            query
                .Append(query.Length > 0 ? " AND " : "")
                .Append(field is null ? "" : $"{field} : ")
                .Append($"\"{plain}\" *");
        }
        return query.ToString();
    }

    /// <summary>Jobs on a document, newest first.</summary>
    public IReadOnlyList<long> On(string document, int most)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<long>(
                "select job_id from job_document where document = @document order by job_id desc limit @most",
                new { document, most }
            ),
        ];
    }
}
