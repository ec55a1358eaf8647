using System.Security.Cryptography;

namespace FaithfulBracket.Store;

/// <summary>Pictures beside the database, named by their content.</summary>
public sealed class PhotoFolder(ShopDatabase database)
{
    /// <summary>The picture is on disk when this returns.</summary>
    public string Put(byte[] content, string extension)
    {
        Directory.CreateDirectory(database.PhotoFolder);
        var file = $"{Convert.ToHexStringLower(SHA256.HashData(content))[..24]}{extension}";
        // named by its content: what stands there in full is this picture already
        if (new FileInfo(PathOf(file)) is { Exists: true } kept && kept.Length == content.Length)
            return file;
        var beside = PathOf($"{file}.{Path.GetRandomFileName()}");
        try
        {
            using (var stream = new FileStream(beside, FileMode.CreateNew, FileAccess.Write))
            {
                stream.Write(content);
                stream.Flush(flushToDisk: true);
            }
            File.Move(beside, PathOf(file), overwrite: true);
        }
        catch
        {
            File.Delete(beside);
            throw;
        }
        return file;
    }

    /// <summary>A picture's bytes, or null when its file is gone.</summary>
    public byte[]? Read(string file) => File.Exists(PathOf(file)) ? File.ReadAllBytes(PathOf(file)) : null;

    public string PathOf(string file) => Path.Combine(database.PhotoFolder, file);
}
