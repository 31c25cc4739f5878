/** How the server is open, and who this device is to it. */
import { ROUTES, type Access, type Device, type Role } from '@ostrin/contract/types';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { requestJson } from '../api/http';
import { nameOf, useSettings } from '../store/settings';

export const useAccess = () =>
  useQuery({
    queryKey: ['access'],
    queryFn: () => requestJson<Access>(ROUTES.access),
    staleTime: Infinity,
  });

/** Who uses this device: see `nameOf`. */
export function useMe(): string {
  const said = useSettings((s) => s.me);
  return nameOf(useAccess().data, said);
}

/** What this device may do; everything on a server for its own machine alone. */
export const useRole = (): Role => useAccess().data?.me?.role ?? 'cook';

/** The devices that are signed in; asked for only where there are any to manage. */
export const useDevices = (enabled: boolean) =>
  useQuery({
    queryKey: ['devices'],
    queryFn: () => requestJson<Device[]>(ROUTES.devices),
    enabled,
  });

/** Signs a device out, or gives it another role. */
export function useChangeDevice() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, role }: { id: string; role: Role | 'out' }) =>
      role === 'out'
        ? requestJson(ROUTES.device(id), 'DELETE')
        : requestJson(ROUTES.device(id), 'PUT', { role }),
    onSettled: () => client.invalidateQueries({ queryKey: ['devices'] }),
  });
}

/** Makes an invitation for one device. */
export const useInvite = () =>
  useMutation({
    mutationFn: (role: Role) =>
      requestJson<{ code: string; until: number }>(ROUTES.invites, 'POST', { role }),
  });

/** Signs this device out and leaves for the sign-in page; taps that wait stay in this browser. */
export async function signOut(): Promise<void> {
  await requestJson(ROUTES.signOut, 'POST', {});
  window.location.assign('/sign-in');
}
