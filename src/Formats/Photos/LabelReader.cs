using FaithfulBracket.Core.Match.Trace;
using ZXing;
using ZXing.Common;
using ZXing.QrCode;

namespace FaithfulBracket.Formats.Photos;

/// <summary>The code on a label in a picture (ISO/IEC 18004).</summary>
public static class LabelReader
{
    /// <returns>Null where no code is seen.</returns>
    public static string? Read(GreyPicture picture)
    {
        var light = new RGBLuminanceSource(
            picture.Pixels,
            picture.Width,
            picture.Height,
            RGBLuminanceSource.BitmapFormat.Gray8
        );
        var hints = new Dictionary<DecodeHintType, object> { [DecodeHintType.TRY_HARDER] = true };
        return new QRCodeReader().decode(new BinaryBitmap(new HybridBinarizer(light)), hints)?.Text;
    }
}
