using System.Data.Common;
using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>A document that an open job was planned from and that was kept anew since.</summary>
/// <param name="Kind">board, block, card, socket or machine.</param>
/// <param name="Version">The version that the job rests on.</param>
/// <param name="Newest">The version in use.</param>
/// <param name="By">Who kept the newest; null where nobody said.</param>
/// <param name="At">When the newest was kept.</param>
public sealed record HeldDocument(
    string Kind,
    string Id,
    long Version,
    string Digest,
    long Newest,
    string? By,
    string At
);

/// <summary>
/// Versions of documents that open jobs rest on while a newer one is in use. A job that has no row rests on the newest.
/// </summary>
public sealed class HeldDocuments(ShopDatabase database, TimeProvider time)
{
    private static readonly string[] Kinds = ["board", "block", "card", "socket", "machine"];

    private static readonly string HeldSql = string.Join(
        " union all ",
        Kinds.Select(k =>
            $"""
                select h.kind, h.id, h.version, v.digest, d.version as newest, d.by_initials as by, d.kept_at as at
                from job_held_document h
                join document_version v on v.kind = h.kind and v.id = h.id and v.version = h.version
                join {k} d on d.id = h.id
                where h.kind = '{k}' and h.job_id = @jobId
                """
        )
    );

    /// <summary>In no order that means anything.</summary>
    public IReadOnlyList<HeldDocument> List(long jobId)
    {
        using var c = database.Open();
        return [.. c.Query<HeldDocument>(HeldSql, new { jobId })];
    }

    /// <summary>Lets a job rest on the newest version of a document.</summary>
    /// <param name="version">The newest version as it was seen.</param>
    /// <exception cref="NotFoundException">The job rests on the newest already.</exception>
    /// <exception cref="ConcurrencyException">A newer one was kept since.</exception>
    /// <exception cref="JobFinishedException">The job is finished.</exception>
    public void Take(long jobId, string kind, string id, long version, string by) =>
        database.Change(
            (c, t) =>
            {
                Jobs.Get(c, t, jobId);
                Corrections.RefuseFinished(c, t, jobId);
                var held =
                    c.Query<HeldDocument>(HeldSql, new { jobId }, t).FirstOrDefault(h => h.Kind == kind && h.Id == id)
                    ?? throw new NotFoundException(HeldDocumentsWords.JobRestsOnNewestVersion(jobId, kind, id));
                if (held.Newest != version)
                    throw new ConcurrencyException(HeldDocumentsWords.IsAtVersion(kind, id, held.Newest, version));
                c.Execute(
                    "delete from job_held_document where job_id = @jobId and kind = @kind and id = @id",
                    new
                    {
                        jobId,
                        kind,
                        id,
                    },
                    t
                );
                c.Execute(
                    """
                    insert into job_document_taken (job_id, kind, id, from_version, to_version, by_initials, at)
                    values (@jobId, @kind, @id, @from, @version, @by, @at)
                    """,
                    new
                    {
                        jobId,
                        kind,
                        id,
                        from = held.Version,
                        version,
                        by,
                        at = Stamp.Format(time),
                    },
                    t
                );
                return c.Execute("update job set version = version + 1 where id = @jobId", new { jobId }, t);
            }
        );

    /// <summary>Open jobs that rest on the version that is about to be followed by another go on resting on it.</summary>
    /// <param name="except">A job that takes the new one at once; null for none.</param>
    internal static void Hold(
        SqliteConnection c,
        DbTransaction t,
        string kind,
        string id,
        long version,
        long? except
    ) =>
        c.Execute(
            $"""
            insert into job_held_document (job_id, kind, id, version)
            select j.id, '{kind}', @id, @version from job j
            where ({DocumentUse.Named(kind)}) and j.id is not @except
                and not exists (select 1 from job_record r where r.job_id = j.id)
            on conflict do nothing
            """,
            new
            {
                id,
                version,
                except,
            },
            t
        );

    /// <summary>Nothing is held for what is the same as the newest.</summary>
    internal static void LetGoOfEqual(SqliteConnection c, DbTransaction t, string kind, string id, string digest) =>
        c.Execute(
            """
            delete from job_held_document where kind = @kind and id = @id and version in
                (select version from document_version where kind = @kind and id = @id and digest = @digest)
            """,
            new
            {
                kind,
                id,
                digest,
            },
            t
        );

    /// <summary>A block or processor that a job has no more is not held for it.</summary>
    internal static void LetGoOfUnnamed(SqliteConnection c, DbTransaction t, long jobId)
    {
        foreach (var kind in Kinds)
            c.Execute(
                $"""
                delete from job_held_document as h where h.job_id = @jobId and h.kind = '{kind}' and not exists
                    (select 1 from job j where j.id = @jobId and ({DocumentUse.Named(kind, "h.id")}))
                """,
                new { jobId },
                t
            );
    }
}
