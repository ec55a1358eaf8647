using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;

namespace FaithfulBracket.Server.Lan;

/// <summary>Whether the shop's network is served, where, and under which names.</summary>
/// <param name="Port">Of HTTPS; 0 takes a free one.</param>
/// <param name="Names">Addresses and names of this machine: only these are answered.</param>
internal sealed record LanHosts(bool Open, int Port, IReadOnlyList<string> Names)
{
    /// <summary>SHA-256 of the certificate; null while the network is not served.</summary>
    public string? Fingerprint { get; init; }

    public const int UsualPort = 5141;

    public static readonly LanHosts Closed = new(false, 0, []);

    public static LanHosts Find(bool open, int? port)
    {
        if (!open)
            return Closed;
        var addresses = NetworkInterface
            .GetAllNetworkInterfaces()
            .Where(n =>
                n.OperationalStatus == OperationalStatus.Up && n.NetworkInterfaceType != NetworkInterfaceType.Loopback
            )
            .SelectMany(n => n.GetIPProperties().UnicastAddresses)
            .Select(a => a.Address)
            .Where(a => a.AddressFamily == AddressFamily.InterNetwork)
            .Select(a => a.ToString());
        var name = Dns.GetHostName();
        return new(true, port ?? UsualPort, [.. addresses.Append(name).Append($"{name}.local").Distinct()]);
    }

    /// <summary>What a tablet opens: the first address of this machine.</summary>
    public string Address(int port) => $"https://{(Names.Count > 0 ? Names[0] : IPAddress.Loopback.ToString())}:{port}";
}
