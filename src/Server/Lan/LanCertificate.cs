using System.Globalization;
using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace FaithfulBracket.Server.Lan;

/// <summary>
/// The certificate of the shop's network: made on the spot, kept beside the shop, made anew when it ends or the
/// machine's names change.
/// </summary>
internal static class LanCertificate
{
    private const int Days = 397;
    private static readonly TimeSpan Spare = TimeSpan.FromDays(14);

    public static X509Certificate2 Load(string folder, IReadOnlyList<string> names, DateTimeOffset now)
    {
        Directory.CreateDirectory(folder);
        var file = Path.Combine(folder, "lan-certificate.pfx");
        if (
            Kept(file) is { } kept
            && kept.NotBefore.ToUniversalTime() <= now.UtcDateTime
            && kept.NotAfter.ToUniversalTime() > now.UtcDateTime + Spare
            && names.All(n => Names(kept).Contains(n))
        )
            return kept;
        var made = Make(names, now);
        var beside = $"{file}.{Path.GetRandomFileName()}";
        var options = new FileStreamOptions { Mode = FileMode.CreateNew, Access = FileAccess.Write };
        if (!OperatingSystem.IsWindows())
            options.UnixCreateMode = UnixFileMode.UserRead | UnixFileMode.UserWrite;
        using (var stream = new FileStream(beside, options))
            stream.Write(made);
        File.Move(beside, file, overwrite: true);
        return X509CertificateLoader.LoadPkcs12(made, null);
    }

    /// <summary>SHA-256 of the certificate in pairs of hexadecimal digits, as browsers show it.</summary>
    public static string Fingerprint(X509Certificate2 certificate) =>
        string.Join(
            ':',
            certificate
                .GetCertHash(HashAlgorithmName.SHA256)
                .Select(b => b.ToString("X2", CultureInfo.InvariantCulture))
        );

    private static X509Certificate2? Kept(string file)
    {
        try
        {
            return File.Exists(file) ? X509CertificateLoader.LoadPkcs12FromFile(file, null) : null;
        }
        catch (CryptographicException)
        {
            return null;
        }
    }

    private static HashSet<string> Names(X509Certificate2 certificate) =>
        certificate
            .Extensions.OfType<X509SubjectAlternativeNameExtension>()
            .SelectMany(e => e.EnumerateDnsNames().Concat(e.EnumerateIPAddresses().Select(a => a.ToString())))
            .ToHashSet();

    private static byte[] Make(IReadOnlyList<string> names, DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Faithful Bracket", key, HashAlgorithmName.SHA256);
        var alternatives = new SubjectAlternativeNameBuilder();
        alternatives.AddDnsName("localhost");
        alternatives.AddIpAddress(IPAddress.Loopback);
        foreach (var name in names)
            if (IPAddress.TryParse(name, out var address))
                alternatives.AddIpAddress(address);
            else
                alternatives.AddDnsName(name);
        request.CertificateExtensions.Add(alternatives.Build());
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        request.CertificateExtensions.Add(
            new X509EnhancedKeyUsageExtension([new Oid("1.3.6.1.5.5.7.3.1", "server")], false)
        );
        using var made = request.CreateSelfSigned(now.AddDays(-1), now.AddDays(Days));
        return made.Export(X509ContentType.Pkcs12);
    }
}
