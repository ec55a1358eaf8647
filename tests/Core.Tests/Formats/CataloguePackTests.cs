using System.IO.Compression;
using System.Text;
using System.Text.Json;
using FaithfulBracket.Formats.Packs;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>A pack as it is written: everything under its name and hash, pictures as they are, never larger than can be read.</summary>
public class CataloguePackTests
{
    private const int Mb = 1024 * 1024;

    private static ZipArchive Written(params (PackItemKind Kind, string Id, byte[] Content, string? Of)[] items)
    {
        var memory = new MemoryStream();
        CataloguePack.Write(items, memory);
        memory.Position = 0;
        return new(memory, ZipArchiveMode.Read);
    }

    private static (PackItemKind, string, byte[], string?) Picture(string id, int bytes) =>
        (PackItemKind.Picture, id, new byte[bytes], "board/b");

    private static (PackItemKind, string, byte[], string?) Document(PackItemKind kind, string id) =>
        (kind, id, Encoding.UTF8.GetBytes(new string('x', 2000)), null);

    [Fact]
    public void Each_kind_lies_in_its_folder_and_stands_in_the_manifest_with_its_hash()
    {
        using var zip = Written(
            Document(PackItemKind.Board, "b"),
            Document(PackItemKind.Block, "k"),
            Document(PackItemKind.Card, "c"),
            Document(PackItemKind.Socket, "s"),
            Document(PackItemKind.Machine, "m"),
            Picture("p.jpg", 100)
        );
        string[] paths =
        [
            "boards/b.board.json",
            "blocks/k.block.json",
            "cards/c.card.json",
            "sockets/s.socket.json",
            "machines/m.machine.json",
            "pictures/p.jpg",
        ];
        Assert.Equal([.. paths, "manifest.json"], zip.Entries.Select(e => e.FullName));
        using var manifest = JsonDocument.Parse(zip.GetEntry("manifest.json")!.Open());
        var files = manifest.RootElement.GetProperty("files").EnumerateArray().ToList();
        Assert.Equal(paths, files.Select(f => f.GetProperty("path").GetString()));
        Assert.All(files, f => Assert.Equal(64, f.GetProperty("sha256").GetString()!.Length));
        Assert.Equal("board/b", files[^1].GetProperty("of").GetString());
        Assert.False(files[0].TryGetProperty("of", out _));
        Assert.Equal("faithful-bracket/pack", manifest.RootElement.GetProperty("format").GetString());
    }

    [Fact]
    public void Documents_are_packed_and_pictures_stored_as_they_are()
    {
        using var zip = Written(Document(PackItemKind.Board, "b"), Picture("p.png", 2000));
        Assert.True(zip.GetEntry("boards/b.board.json")!.CompressedLength < 200);
        // a stored entry is as long as its content, but for what the format wraps round it
        Assert.InRange(zip.GetEntry("pictures/p.png")!.CompressedLength, 2000, 2050);
    }

    [Fact]
    public void Pictures_that_would_make_it_too_large_to_be_read_back_are_left_out()
    {
        using var zip = Written(
            Picture("one.jpg", 30 * Mb),
            Picture("two.jpg", 30 * Mb),
            Picture("three.jpg", 30 * Mb),
            Picture("small.jpg", 10),
            Document(PackItemKind.Board, "b")
        );
        Assert.Equal(
            ["pictures/one.jpg", "pictures/two.jpg", "pictures/small.jpg", "boards/b.board.json", "manifest.json"],
            zip.Entries.Select(e => e.FullName)
        );
        Assert.True(zip.Entries.Sum(e => e.Length) < CataloguePack.MaxBytes);
    }
}
