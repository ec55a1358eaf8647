using System.Data.Common;
using System.Text.Json;
using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

/// <summary>Keys of what was sent: each counts once, for the content it was first used with.</summary>
internal static class SentEntries
{
    /// <summary>Writes, or finds what was written before with the same key and content.</summary>
    /// <exception cref="KeyTakenException">The key was used before for something else.</exception>
    public static long Once(
        SqliteConnection c,
        DbTransaction t,
        long jobId,
        string kind,
        string? key,
        object content,
        Func<long> write
    )
    {
        if (key is null)
            return write();
        var text = JsonSerializer.Serialize(content, content.GetType(), JsonSerializerOptions.Web);
        var sent = c.QuerySingleOrDefault<(string Kind, long JobId, long PaperId, string? Content)?>(
            "select kind, job_id, paper_id, content from sent_paper where client_key = @key",
            new { key },
            t
        );
        if (sent is { } found)
            // one from before content was stored is known by its kind and job alone
            return found.Kind == kind && found.JobId == jobId && (found.Content ?? text) == text
                ? found.PaperId
                : throw new KeyTakenException(
                    SentEntriesWords.ThisKeyWasUsedBefore(found.Kind, found.PaperId, found.JobId),
                    found.Content,
                    text
                );
        var id = write();
        c.Execute(
            "insert into sent_paper (client_key, kind, job_id, paper_id, content) values (@key, @kind, @jobId, @id, @text)",
            new
            {
                key,
                kind,
                jobId,
                id,
                text,
            },
            t
        );
        return id;
    }
}
