using System.Text;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Documents laid aside in a file that goes when it is closed, so that a batch of any size takes little memory.</summary>
internal sealed class DocumentSpool : IDisposable
{
    private readonly FileStream _file = new(
        Path.Combine(Path.GetTempPath(), Path.GetRandomFileName()),
        FileMode.CreateNew,
        FileAccess.ReadWrite,
        FileShare.None,
        1 << 16,
        FileOptions.DeleteOnClose
    );
    private int _count;

    public void Add(LibraryDocument d)
    {
        using var to = new BinaryWriter(_file, Encoding.UTF8, leaveOpen: true);
        foreach (var text in (ReadOnlySpan<string>)[d.Id, d.Maker, d.Model, d.BoardCode, d.Revision, d.Kind, d.Digest])
            to.Write(text);
        to.Write(d.Document.Length);
        to.Write(d.Document);
        _count++;
    }

    public IEnumerable<LibraryDocument> ReadBack()
    {
        _file.Position = 0;
        using var from = new BinaryReader(_file, Encoding.UTF8, leaveOpen: true);
        for (var k = 0; k < _count; k++)
        {
            var t = new string[7];
            for (var i = 0; i < t.Length; i++)
                t[i] = from.ReadString();
            yield return new(t[0], t[1], t[2], t[3], t[4], t[5], from.ReadBytes(from.ReadInt32()), t[6]);
        }
    }

    public void Dispose() => _file.Dispose();
}
