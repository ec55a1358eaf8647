using System.Security.Cryptography;

namespace FaithfulBracket.Store;

/// <summary>Pictures beside the database, named by their content.</summary>
public sealed class PhotoShelf(ShopDatabase database)
{
    /// <summary>The picture is on disk when this returns.</summary>
    public string Put(byte[] content, string extension)
    {
        Directory.CreateDirectory(database.PhotoFolder);
        var file = $"{Convert.ToHexStringLower(SHA256.HashData(content))[..24]}{extension}";
        using var stream = new FileStream(PathOf(file), FileMode.Create, FileAccess.Write);
        stream.Write(content);
        stream.Flush(flushToDisk: true);
        return file;
    }

    public string PathOf(string file) => Path.Combine(database.PhotoFolder, file);
}
