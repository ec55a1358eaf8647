using System.Data.Common;
using Dapper;
using FaithfulBracket.Store.Words;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Store;

public sealed record CataloguePictureRow(
    long Id,
    string Kind,
    string OfId,
    string File,
    string MediaType,
    string? Caption,
    string At
);

/// <summary>A picture to keep with a board or block; its file is on the shelf already.</summary>
public sealed record NewCataloguePicture(string Kind, string OfId, string File, string MediaType, string? Caption);

/// <summary>Pictures of boards and blocks.</summary>
public sealed class CataloguePictures(ShopDatabase database, PhotoFolder shelf, TimeProvider time)
{
    private const string Columns = "id, kind, of_id, file, media_type, caption, at";

    public IReadOnlyList<CataloguePictureRow> All()
    {
        using var c = database.Open();
        return [.. c.Query<CataloguePictureRow>($"select {Columns} from catalogue_picture order by kind, of_id, id")];
    }

    public IReadOnlyList<CataloguePictureRow> List(string kind, string id)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<CataloguePictureRow>(
                $"select {Columns} from catalogue_picture where kind = @kind and of_id = @id order by id",
                new { kind, id }
            ),
        ];
    }

    /// <exception cref="NotFoundException">No such picture.</exception>
    public CataloguePictureRow Get(long id)
    {
        using var c = database.Open();
        return c.QuerySingleOrDefault<CataloguePictureRow>(
                $"select {Columns} from catalogue_picture where id = @id",
                new { id }
            ) ?? throw new NotFoundException(CataloguePicturesWords.ThereIsNoPicture(id));
    }

    public string PathOf(CataloguePictureRow picture) => shelf.PathOf(picture.File);

    public void Add(NewCataloguePicture picture) => database.Change((c, t) => Add(c, t, picture));

    /// <summary>Adds one inside another change; the same picture of the same thing counts once.</summary>
    internal int Add(SqliteConnection c, DbTransaction t, NewCataloguePicture p) =>
        c.Execute(
            """
            insert into catalogue_picture (kind, of_id, file, media_type, caption, at) values (@Kind, @OfId, @File, @MediaType, @Caption, @At) on conflict do nothing
            """,
            new
            {
                p.Kind,
                p.OfId,
                p.File,
                p.MediaType,
                p.Caption,
                At = Stamp.Format(time),
            },
            t
        );

    public void Remove(long id)
    {
        Get(id);
        database.Change((c, t) => c.Execute("delete from catalogue_picture where id = @id", new { id }, t));
    }
}
