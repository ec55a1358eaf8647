using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Documents as the library keeps them: read by their rules, with a digest of their content.</summary>
internal static class LibraryDocuments
{
    public static LibraryDocument Board(ReadOnlyMemory<byte> utf8)
    {
        var b = BoardReader.Read(utf8);
        return new(b.Id, b.Maker, b.Model, b.BoardCode, b.Revision, b.Kind.ToString(), utf8.ToArray(), Digest(utf8))
        {
            Parsed = b,
        };
    }

    public static LibraryDocument Block(ReadOnlyMemory<byte> utf8)
    {
        var b = BlockReader.Read(utf8);
        return new(b.Id, b.Maker, b.Model, "", "", b.Kind.ToString(), utf8.ToArray(), Digest(utf8)) { Parsed = b };
    }

    public static LibraryDocument Card(ReadOnlyMemory<byte> utf8)
    {
        var c = CardReader.Read(utf8);
        return new(c.Id, c.Maker, c.Model, c.BoardCode, c.Revision, c.Kind.ToString(), utf8.ToArray(), Digest(utf8))
        {
            Parsed = c,
        };
    }

    public static LibraryDocument Socket(ReadOnlyMemory<byte> utf8)
    {
        var s = SocketReader.Read(utf8);
        return new(s.Id, "", s.Name, "", "", "socket", utf8.ToArray(), Digest(utf8)) { Parsed = s };
    }

    public static LibraryDocument Machine(ReadOnlyMemory<byte> utf8)
    {
        var m = MachineReader.Read(utf8);
        return new(m.Id, "", m.Name, "", "", "machine", utf8.ToArray(), Digest(utf8)) { Parsed = m };
    }

    public static string Digest(ReadOnlyMemory<byte> utf8)
    {
        using var json = JsonInput.Parse(utf8);
        return CanonicalJson.Digest(json.RootElement);
    }
}
