using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;
using FaithfulBracket.Store.Backups;

namespace FaithfulBracket.Server.Shop;

/// <summary>
/// Opens the workshop's file at start: migrated; read-only where nothing can be written; or not at all, with the
/// reason.
/// </summary>
internal static class ShopStart
{
    /// <param name="shop">Becomes read-only where the disk takes nothing more.</param>
    /// <returns>Why the file cannot be worked with; null where it can.</returns>
    public static DatabaseError? Open(ref ShopDatabase shop)
    {
        if (shop.Look() is { } trouble)
            return trouble;
        try
        {
            if (shop.ReadOnly)
                return shop.NeedsMigration() ? DatabaseError.NotMigrated(shop.File, CannotWrite) : null;
            shop.Migrate();
            return null;
        }
        catch (Exception e) when (Cause(e, shop.File) is not null)
        {
            var cause = Cause(e, shop.File)!;
            if (cause.Code is not ("full" or "read-only"))
                return cause;
            shop = new(shop.File, readOnly: true);
            return shop.NeedsMigration()
                ? DatabaseError.NotMigrated(shop.File, cause.Code == "full" ? ShopStartWords.DiskIsFull : CannotWrite)
                : null;
        }
    }

    private const string CannotWrite = ShopStartWords.NothingCanBeWrittenThere;

    private static DatabaseError? Cause(Exception e, string file) =>
        e is BackupFaultException
            ? DatabaseError.NotMigrated(file, e.Message)
            : DatabaseError.From(e, file) ?? (e.InnerException is { } inner ? Cause(inner, file) : null);
}
