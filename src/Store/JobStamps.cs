using System.Data.Common;
using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>A document a job is calculated from, as it stands in the library.</summary>
/// <param name="Role">board, block, card, socket or machine.</param>
public sealed record DocumentRow(string Role, string Id, string Digest);

/// <summary>
/// The state of everything a job is calculated from, as text: its row, sheets and readings, the documents it names, the drawer. Two equal
/// stamps mean the same plan; it is read in the same transaction that writes a sign-off.
/// </summary>
public sealed class JobStamps(ShopDatabase database)
{
    private const string StampSql = """
        select j.version
            || '|' || coalesce((select group_concat(kind || version) from (select kind, version from job_sheet where job_id = j.id order by kind)), '')
            || '|' || coalesce((select group_concat(id) from (select id from reading where job_id = j.id and struck_at is null order by id)), '')
            || '|' || coalesce((select digest from board where id = j.board_id), '')
            || '|' || coalesce((select digest from card where id = j.card_id), '')
            || '|' || coalesce((select digest from block where id = j.block_id), '')
            || '|' || coalesce((select group_concat(d) from (
                select (select digest from board where id = json_extract(e.value, '$.boardId')) as d from json_each(j.work, '$.pieces') e)), '')
            || '|' || coalesce((select group_concat(d) from (
                select (select digest from block where id = json_extract(e.value, '$.blockId')) as d from json_each(j.work, '$.pairs') e)), '')
            || '|' || case when json_extract(j.work, '$.seat') is null then '' else
                coalesce((select digest from board where id = json_extract(j.work, '$.seat.processorId')), '')
                || coalesce((select group_concat(digest) from (select digest from socket order by id)), '') end
            || '|' || coalesce((select digest from machine where id = json_extract(j.work, '$.machine')), '')
            || '|' || coalesce((select group_concat(kind || id || version) from (
                select kind, id, version from job_held_document where job_id = j.id order by kind, id)), '')
            || '|' || coalesce((select max(id) from drawer_event), 0)
            || '|' || coalesce((select max(id) from setting_change), 0)
            || '|' || coalesce((select at from job_record where job_id = j.id), '')
        """;

    /// <exception cref="NotFoundException">No such job.</exception>
    public string Compute(long jobId)
    {
        using var c = database.Open();
        return Compute(c, null, jobId);
    }

    internal static string Compute(SqliteConnection c, DbTransaction? t, long jobId) =>
        c.QuerySingleOrDefault<string>($"{StampSql} from job j where j.id = @jobId", new { jobId }, t)
        ?? throw new NotFoundException(JobStampsWords.ThereIsNoJob(jobId));

    /// <summary>What is kept with a job besides what its plan rests on: everything that a page of it can show.</summary>
    private const string KeptSql = """
        select coalesce((select max(id) from step_event where job_id = j.id), 0)
            || '|' || j.title || '|' || coalesce(j.client, '') || '|' || j.bench || '|' || coalesce(j.archived_at, '')
            || '|' || coalesce((select max(id) from note where job_id = j.id), 0)
            || '|' || coalesce((select max(id) from photo where job_id = j.id), 0)
            || '|' || coalesce((select group_concat(id || coalesce(stopped_at, '')) from timer where job_id = j.id), '')
            || '|' || coalesce((select group_concat(id || coalesce(struck_at, '')) from job_log where job_id = j.id), '')
            || '|' || coalesce((select max(id) from leak_test where job_id = j.id), 0)
            || '|' || coalesce((select max(id) from correction where job_id = j.id), 0)
            || '|' || coalesce((select max(id) from driver_turn where job_id = j.id), 0)
            || '|' || coalesce((select max(row_id) from job_document_taken where job_id = j.id), 0)
            || '|' || coalesce((select count(*) || max(at) from document_version), '')
        """;

    /// <summary>Equal for two looks at a job between which nothing that is shown of it changed.</summary>
    /// <exception cref="NotFoundException">No such job.</exception>
    public string ComputeShown(long jobId)
    {
        using var c = database.Open();
        return Compute(c, null, jobId)
            + '|'
            + c.QuerySingle<string>($"{KeptSql} from job j where j.id = @jobId", new { jobId });
    }

    /// <summary>Jobs that are not finished and whose summary was made from another state, oldest work first.</summary>
    public IReadOnlyList<long> Stale()
    {
        using var c = database.Open();
        return
        [
            .. c.Query<long>(
                $"""
                select id from (
                    {StampSql} as stamp, j.id as id, s.stamp as had
                    from job j left join job_summary s on s.job_id = j.id
                    where s.job_id is null or s.finished = 0 or s.stamp = '')
                where had is null or had <> stamp order by id
                """
            ),
        ];
    }

    /// <summary>Digests of documents by role and id.</summary>
    public IReadOnlyList<DocumentRow> Documents(IEnumerable<(string Role, string Id)> named)
    {
        using var c = database.Open();
        var found = new List<DocumentRow>();
        foreach (var (role, id) in named.Distinct())
        {
            var table = role switch
            {
                "board" => "board",
                "block" => "block",
                "socket" => "socket",
                "machine" => "machine",
                _ => "card",
            };
            if (c.QuerySingleOrDefault<string>($"select digest from {table} where id = @id", new { id }) is { } digest)
                found.Add(new(role, id, digest));
        }
        return found;
    }
}
