using System.Globalization;
using System.Text;
using FaithfulBracket.Core.Match.Trace;

namespace FaithfulBracket.Formats.Photos;

/// <summary>The reference target as a drawing at true scale.</summary>
public static class TargetSvg
{
    public static string Draw()
    {
        static string N(double v) => v.ToString("0.####", CultureInfo.InvariantCulture);
        var s = new StringBuilder();
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<svg xmlns="http://www.w3.org/2000/svg" width="{N(TargetSheet.WidthMm)}mm" height="{N(TargetSheet.DepthMm)}mm" viewBox="0 0 {N(TargetSheet.WidthMm)} {N(TargetSheet.DepthMm)}" font-family="sans-serif">"""
        );
        s.Append("""<rect width="100%" height="100%" fill="#fff"/>""");
        foreach (var m in TargetSheet.Marks)
        {
            double x = m.XMm,
                y = TargetSheet.DepthMm - m.YMm,
                ring = (TargetSheet.RingOuterMm + TargetSheet.RingInnerMm) / 2;
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<circle cx="{N(x)}" cy="{N(y)}" r="{N(ring)}" fill="none" stroke="#000" stroke-width="{N(TargetSheet.RingOuterMm - TargetSheet.RingInnerMm)}"/><circle cx="{N(x)}" cy="{N(y)}" r="{N(TargetSheet.DotMm)}" fill="#000"/>"""
            );
            for (var k = 0; k < 8; k++)
            {
                if ((m.Code >> k & 1) == 0)
                    continue;
                // y runs down on paper
                string P(double r, int eighth) =>
                    $"{N(x + r * Math.Cos(eighth * Math.PI / 4))} {N(y - r * Math.Sin(eighth * Math.PI / 4))}";
                string o = N(TargetSheet.SectorOuterMm),
                    i = N(TargetSheet.SectorInnerMm);
                s.Append(
                    CultureInfo.InvariantCulture,
                    $"""<path d="M{P(TargetSheet.SectorInnerMm, k)}L{P(TargetSheet.SectorOuterMm, k)}A{o} {o} 0 0 0 {P(TargetSheet.SectorOuterMm, k + 1)}L{P(TargetSheet.SectorInnerMm, k + 1)}A{i} {i} 0 0 1 {P(TargetSheet.SectorInnerMm, k)}Z" fill="#000"/>"""
                );
            }
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<text x="{N(x + 9)}" y="{N(y + 1.2)}" font-size="3.4" fill="#555">{m.Id}</text>"""
            );
        }
        double barX = (TargetSheet.WidthMm - TargetSheet.BarMm) / 2,
            barY = TargetSheet.DepthMm / 2 + 30;
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<path d="M{N(barX)} {N(barY)}h{N(TargetSheet.BarMm)}m-{N(TargetSheet.BarMm)} -2v4m{N(TargetSheet.BarMm)} -4v4" stroke="#000" stroke-width="0.25"/><text x="{N(TargetSheet.WidthMm / 2)}" y="{N(barY + 6)}" font-size="3.6" text-anchor="middle">50 mm. Lay flat beside the bare board, at the height of its surface.</text>"""
        );
        return s.Append("</svg>").ToString();
    }
}
