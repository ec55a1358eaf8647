using QRCoder;

namespace FaithfulBracket.Formats.Records;

/// <summary>The modules of a label's code: ISO/IEC 18004, correction level M.</summary>
internal static class LabelCode
{
    /// <summary>Row by row, true for dark, with the quiet zone round it.</summary>
    public static IReadOnlyList<System.Collections.BitArray> Rows(string code)
    {
        using var data = QRCodeGenerator.GenerateQrCode(code, QRCodeGenerator.ECCLevel.M);
        return [.. data.ModuleMatrix];
    }
}
