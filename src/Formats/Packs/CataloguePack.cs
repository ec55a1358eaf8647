using System.IO.Compression;
using System.Security.Cryptography;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Formats.Words.Packs;

namespace FaithfulBracket.Formats.Packs;

public enum PackItemKind
{
    Board,
    Block,
    Card,
    Socket,
    Machine,
    Picture,
}

/// <summary>One file of a pack, read and checked.</summary>
/// <param name="Of">Whose picture it is: board/… or block/… and the id; null for documents and loose pictures.</param>
public sealed record PackItem(PackItemKind Kind, string Path, string Id, byte[] Content, string? Of = null)
{
    /// <summary>The picture as it is kept; null for documents.</summary>
    public KeptPhoto? Picture { get; init; }
}

/// <summary>A zip of documents and pictures with a manifest of hashes.</summary>
public static class CataloguePack
{
    public const string Format = "faithful-bracket/pack";
    public const int MaxBytes = 64 * 1024 * 1024;
    private const int MaxFiles = 5000;

    /// <summary>What a manifest of so many files takes at most.</summary>
    private const int ManifestRoom = 2 * 1024 * 1024;
    private const string ManifestName = "manifest.json";

    /// <summary>
    /// Items in the order they come. Pictures that would make the pack larger than one that can be read back are left
    /// out; documents never are.
    /// </summary>
    public static void Write(IEnumerable<(PackItemKind Kind, string Id, byte[] Content, string? Of)> items, Stream into)
    {
        var room = (long)MaxBytes - ManifestRoom;
        using (var zip = new ZipArchive(into, ZipArchiveMode.Create, leaveOpen: true))
        {
            var files = new List<object>();
            foreach (var (kind, id, content, of) in items)
            {
                var path = kind switch
                {
                    PackItemKind.Board => $"boards/{id}.board.json",
                    PackItemKind.Block => $"blocks/{id}.block.json",
                    PackItemKind.Card => $"cards/{id}.card.json",
                    PackItemKind.Socket => $"sockets/{id}.socket.json",
                    PackItemKind.Machine => $"machines/{id}.machine.json",
                    _ => $"pictures/{id}",
                };
                if (kind == PackItemKind.Picture && content.Length > room)
                    continue;
                room -= content.Length;
                // a picture is small already: packing it once more takes seconds and saves nothing
                Put(
                    zip,
                    path,
                    content,
                    kind == PackItemKind.Picture ? CompressionLevel.NoCompression : CompressionLevel.Optimal
                );
                files.Add(
                    of is null
                        ? new
                        {
                            path,
                            kind = EnumNames<PackItemKind>.Name(kind),
                            id,
                            sha256 = Hash(content),
                        }
                        : new
                        {
                            path,
                            kind = EnumNames<PackItemKind>.Name(kind),
                            id,
                            sha256 = Hash(content),
                            of,
                        }
                );
            }
            Put(
                zip,
                ManifestName,
                JsonSerializer.SerializeToUtf8Bytes(
                    new
                    {
                        format = Format,
                        version = 1,
                        files,
                    },
                    Indented
                ),
                CompressionLevel.Optimal
            );
        }
    }

    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    private static void Put(ZipArchive zip, string path, byte[] content, CompressionLevel level)
    {
        using var s = zip.CreateEntry(path, level).Open();
        s.Write(content);
    }

    private static string Hash(byte[] content) => Convert.ToHexStringLower(SHA256.HashData(content));

    /// <summary>Reads a pack whole; every file must stand in the manifest with its hash, and every document must be good.</summary>
    /// <exception cref="InputException">Anything is wrong, with the file it is wrong in.</exception>
    public static IReadOnlyList<PackItem> Read(ReadOnlyMemory<byte> content)
    {
        if (content.Length > MaxBytes)
            throw new InputException("", CataloguePackWords.PackIsLarger(MaxBytes / 1048576));
        ZipArchive zip;
        try
        {
            zip = new ZipArchive(new MemoryStream(content.ToArray()), ZipArchiveMode.Read);
        }
        catch (InvalidDataException)
        {
            throw new InputException("", CataloguePackWords.ExpectedZipFileWithManifest);
        }
        using var open = zip;
        if (zip.Entries.Count > MaxFiles)
            throw new InputException("", CataloguePackWords.PackHoldsFiles(zip.Entries.Count, MaxFiles));
        var entries = zip
            .Entries.Where(e => !e.FullName.EndsWith('/'))
            .GroupBy(e => e.FullName)
            .ToDictionary(g => g.Key, g => g.First());
        if (!entries.Remove(ManifestName, out var manifestEntry))
            throw new InputException($"/{ManifestName}", CataloguePackWords.MissingPackNeedsManifestWithHash);
        var budget = (long)MaxBytes;
        var faults = new List<InputFault>();
        byte[] manifest;
        try
        {
            manifest = Bytes(manifestEntry, ref budget);
        }
        catch (InvalidDataException)
        {
            throw new InputException($"/{ManifestName}", CataloguePackWords.CanNotBeUnpacked);
        }
        var listed = Manifest(manifest, faults);
        var items = new List<PackItem>();
        foreach (var (kind, path, sha, of) in listed)
        {
            if (!entries.Remove(path, out var entry))
            {
                faults.Add(new($"/{path}", CataloguePackWords.StandsInManifest));
                continue;
            }
            byte[] bytes;
            try
            {
                bytes = Bytes(entry, ref budget);
            }
            catch (InvalidDataException)
            {
                faults.Add(new($"/{path}", CataloguePackWords.CanNotBeUnpacked));
                continue;
            }
            if (!string.Equals(Hash(bytes), sha, StringComparison.OrdinalIgnoreCase))
            {
                faults.Add(new($"/{path}", CataloguePackWords.HashIsNotManifests));
                continue;
            }
            try
            {
                items.Add(
                    kind == PackItemKind.Picture ? Picture(path, bytes, of) : new(kind, path, IdOf(kind, bytes), bytes)
                );
            }
            catch (MalformedJsonException e)
            {
                faults.Add(new($"/{path}", e.Message));
            }
            catch (InputException e)
            {
                faults.AddRange(e.Faults.Select(f => new InputFault($"/{path}#{f.Field}", f.Message)));
            }
        }
        faults.AddRange(entries.Keys.Select(k => new InputFault($"/{k}", CataloguePackWords.StandsInPack)));
        faults.AddRange(
            items
                .GroupBy(i => (i.Kind, i.Id))
                .Where(g => g.Count() > 1)
                .Select(g => new InputFault($"/{g.Last().Path}", CataloguePackWords.IdStandsTwiceInThisPack(g.Key.Id)))
        );
        return faults.Count > 0 ? throw new InputException(faults) : items;
    }

    private static string IdOf(PackItemKind kind, byte[] bytes) =>
        kind switch
        {
            PackItemKind.Board => BoardReader.Read(bytes).Id,
            PackItemKind.Card => CardReader.Read(bytes).Id,
            PackItemKind.Socket => SocketReader.Read(bytes).Id,
            PackItemKind.Machine => MachineReader.Read(bytes).Id,
            _ => BlockReader.Read(bytes).Id,
        };

    private static PackItem Picture(string path, byte[] bytes, string? of)
    {
        if (
            of is not null
            && !(of.StartsWith("board/", StringComparison.Ordinal) || of.StartsWith("block/", StringComparison.Ordinal))
        )
            throw new InputException("/of", CataloguePackWords.ExpectedBoardOrBlockAndId(of));
        return new(PackItemKind.Picture, path, Path.GetFileName(path), bytes, of)
        {
            Picture = PhotoIntake.Read(bytes) ?? throw new InputException("", "Expected a JPEG or PNG picture."),
        };
    }

    private static byte[] Bytes(ZipArchiveEntry entry, ref long budget)
    {
        using var s = entry.Open();
        using var memory = new MemoryStream();
        var chunk = new byte[81920];
        int n;
        while ((n = s.Read(chunk)) > 0)
        {
            budget -= n;
            if (budget < 0)
                throw new InputException("", CataloguePackWords.UnpackedPackIsLarger(MaxBytes / 1048576));
            memory.Write(chunk, 0, n);
        }
        return memory.ToArray();
    }

    private static List<(PackItemKind Kind, string Path, string Sha, string? Of)> Manifest(
        byte[] content,
        List<InputFault> faults
    )
    {
        var own = new List<InputFault>();
        JsonDocument json;
        try
        {
            json = JsonInput.Parse(content);
        }
        catch (MalformedJsonException e)
        {
            throw new InputException($"/{ManifestName}", e.Message);
        }
        using var open = json;
        var o = new ObjectReader(json.RootElement, "", own);
        o.Exactly("format", Format);
        o.Integer("version", 1, 1);
        var files = o.Objects(
            "files",
            f =>
            {
                f.OptionalText("id");
                return (f.Choice<PackItemKind>("kind"), f.Text("path"), f.Text("sha256"), f.OptionalText("of"));
            }
        );
        o.End();
        faults.AddRange(own.Select(f => new InputFault($"/{ManifestName}#{f.Field}", f.Message)));
        return files;
    }
}
