using Dapper;
using FaithfulBracket.Store.Words;

namespace FaithfulBracket.Store;

public sealed record TraceRow(
    long Id,
    string File,
    string MediaType,
    long WidthPx,
    long HeightPx,
    string State,
    long Version,
    string ByInitials,
    string At
);

/// <summary>Photos that boards are traced from, with what was clicked in them.</summary>
public sealed class Traces(ShopDatabase database, PhotoFolder shelf, TimeProvider time)
{
    private const string Columns = "id, file, media_type, width_px, height_px, state, version, by_initials, at";

    public IReadOnlyList<TraceRow> All()
    {
        using var c = database.Open();
        return [.. c.Query<TraceRow>($"select {Columns} from trace order by id desc")];
    }

    /// <exception cref="NotFoundException">No such trace.</exception>
    public TraceRow Get(long id)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<TraceRow>($"select {Columns} from trace where id = @id", new { id })
            ?? throw new NotFoundException(TracesWords.ThereIsNoTrace(id));
    }

    public long Add(
        byte[] content,
        string mediaType,
        string extension,
        int widthPx,
        int heightPx,
        string state,
        string by
    )
    {
        var file = shelf.Put(content, extension);
        return database.Change(
            (c, t) =>
                c.ExecuteScalar<long>(
                    "insert into trace (file, media_type, width_px, height_px, state, by_initials, at) "
                        + "values (@file, @mediaType, @widthPx, @heightPx, @state, @by, @at) returning id",
                    new
                    {
                        file,
                        mediaType,
                        widthPx,
                        heightPx,
                        state,
                        by,
                        at = Stamp.Format(time),
                    },
                    t
                )
        );
    }

    /// <returns>The new version.</returns>
    /// <exception cref="ConcurrencyException">Somebody changed the trace since <paramref name="version"/>.</exception>
    public long Change(long id, long version, string state)
    {
        Get(id);
        return database.Change(
            (c, t) =>
                c.Execute(
                    "update trace set state = @state, version = version + 1 where id = @id and version = @version",
                    new
                    {
                        id,
                        version,
                        state,
                    },
                    t
                ) == 1
                    ? version + 1
                    : throw new ConcurrencyException(TracesWords.SomebodyChangedThisTraceSinceYou)
        );
    }
}
