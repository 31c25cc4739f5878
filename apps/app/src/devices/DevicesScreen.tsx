/** Phones: who is signed in and what they may do, how others come in, and what this page lacks over plain HTTP. */
import type { Device, Role } from '@ostrin/contract/types';
import { localOf } from '@ostrin/core/quantity';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import { BackLink } from '../ui/BackLink';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { FormSheet, wordsField } from '../ui/FormSheet';
import { lazyComponent } from '../ui/lazyComponent';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { Paragraph, SmallText } from '../ui/Text';
import { Heading, Title } from '../ui/Title';
import { clockAndDay, deviceZone } from '../ui/words';
import { signOut, useAccess, useChangeDevice, useDevices, useInvite, useMe } from './useDevices';

const QrCode = lazyComponent(() => import('./QrCode'));

/** Roles as a person reads them. */
export const ROLE_WORDS: Readonly<Record<Role, { label: string; note: string }>> = {
  cook: { label: 'Cook', note: 'plans, logs, changes everything' },
  helper: { label: 'Helper', note: 'logs and takes shifts, deletes nothing' },
  looker: { label: 'Viewer', note: 'reads only' },
};
/** What is typed into a terminal: in the text face a hyphen closes up to the word before it. */
const COMMAND = { fontFamily: 'monospace' };
const ROLES: readonly Role[] = ['cook', 'helper', 'looker'];

export function DevicesScreen() {
  const access = useAccess();
  const { data } = access;
  return (
    <ScrollView className="flex-1" contentContainerClassName="p-5 gap-5 max-w-[760px]">
      <View>
        <BackLink href="/yard" label="The yard" />
        <Title>Phones</Title>
      </View>
      {access.isError ? (
        <Notice tone="warn" title="The server could not be reached">
          {access.error.message}
        </Notice>
      ) : null}
      <MyName asked={data?.me?.name ?? null} />
      {data && !data.home ? (
        <View className="gap-2">
          <Heading>Other phones</Heading>
          <Paragraph>
            Only this machine can reach the yard now. To open it to the phones on your home network,
            stop the server and start it with the line below. It then shows an address, a QR code
            and a passcode.
          </Paragraph>
          <Text selectable className="text-ink text-[16px]" style={COMMAND}>
            npm run demo -- --home
          </Text>
        </View>
      ) : null}
      {data?.home ? (
        <>
          <Addresses addresses={data.addresses} secure={data.secure} />
          {data.me?.role === 'cook' ? <Devices me={data.me} /> : null}
          <Button label="Sign this device out" testID="sign-out" onPress={() => void signOut()} />
        </>
      ) : null}
      <Missing />
    </ScrollView>
  );
}

/** The name that stands beside what is logged here. */
function MyName({ asked }: { asked: string | null }) {
  const me = useMe();
  const setMe = useSettings((s) => s.setMe);
  const [open, setOpen] = useState(false);
  return (
    <View className="gap-2">
      <Heading>Your name</Heading>
      <Paragraph>
        {me
          ? `What you log here is signed ${me}.`
          : 'It appears beside what you log, and shifts are handed over by name.'}
      </Paragraph>
      {asked === null ? (
        <Button
          label={me ? 'Change your name' : 'Enter your name'}
          testID="my-name"
          onPress={() => setOpen(true)}
        />
      ) : null}
      {open ? (
        <FormSheet
          title="Your name"
          fields={[wordsField('Your name', 40, { first: me, testID: 'my-name-text' })]}
          save="Save"
          saveID="my-name-save"
          onSave={({ text }) => {
            setMe(text!);
            setOpen(false);
          }}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </View>
  );
}

function Addresses({ addresses, secure }: { addresses: readonly string[]; secure: boolean }) {
  const [first] = addresses;
  return (
    <View className="gap-3">
      <Heading>Address of this yard</Heading>
      {first ? (
        <>
          <Paragraph>
            Point another phone’s camera here. It asks for the passcode or an invitation.
          </Paragraph>
          <QrCode text={first} size={220} />
          {addresses.map((a) => (
            <Text key={a} selectable className="font-slab-semi text-ink text-[18px]">
              {a}
            </Text>
          ))}
        </>
      ) : (
        <Paragraph>The server found no network when it was started.</Paragraph>
      )}
      {secure ? null : (
        <Notice tone="plain" title="Not encrypted">
          Others on this network who know how could read the passcode and the log. On a network you
          do not trust, start the server with “--tls” as well.
        </Notice>
      )}
    </View>
  );
}

function Devices({ me }: { me: Device }) {
  const devices = useDevices(true);
  const change = useChangeDevice();
  const invite = useInvite();
  const [chosen, setChosen] = useState<Device | null>(null);
  const [inviting, setInviting] = useState(false);
  return (
    <View className="gap-3">
      <Heading>Signed in</Heading>
      {change.isError ? (
        <Notice tone="warn" title="That did not work">
          {change.error.message}
        </Notice>
      ) : null}
      <View className="border-t border-rule">
        {devices.data?.map((d) => (
          <View
            key={d.id}
            testID="device"
            className="flex-row items-center gap-3 border-b border-rule py-2"
          >
            <View className="flex-1">
              <Text className="font-slab-semi text-ink text-[18px]">
                {`${d.name}, ${d.device}${d.id === me.id ? ' (this one)' : ''}`}
              </Text>
              <SmallText>
                {`${ROLE_WORDS[d.role].label}, seen ${clockAndDay(localOf(d.seenAt, deviceZone))}`}
              </SmallText>
            </View>
            <Button
              label="Change"
              accessibilityLabel={`Change ${d.name}, ${d.device}`}
              onPress={() => setChosen(d)}
            />
          </View>
        ))}
      </View>
      <Button
        label="Invite another phone"
        testID="invite"
        onPress={() => {
          invite.reset();
          setInviting(true);
        }}
      />
      {chosen ? (
        <Sheet title={`${chosen.name}, ${chosen.device}`} onClose={() => setChosen(null)}>
          <Choice
            label="What it may do"
            options={ROLES.map((r) => ({ value: r, ...ROLE_WORDS[r] }))}
            value={chosen.role}
            onChange={(role) => {
              change.mutate({ id: chosen.id, role });
              setChosen(null);
            }}
          />
          {chosen.id === me.id ? null : (
            <Button
              label="Sign it out"
              testID="device-out"
              onPress={() => {
                change.mutate({ id: chosen.id, role: 'out' });
                setChosen(null);
              }}
            />
          )}
        </Sheet>
      ) : null}
      {inviting ? (
        <Sheet title="Invite another phone" onClose={() => setInviting(false)}>
          {invite.data ? (
            <>
              <Paragraph>
                Typed on the other phone in place of the passcode. It is good for one phone and a
                quarter of an hour.
              </Paragraph>
              <Text selectable testID="invite-code" className="font-slab-bold text-ink text-[32px]">
                {invite.data.code}
              </Text>
            </>
          ) : (
            <>
              <Paragraph>What may it do?</Paragraph>
              {ROLES.map((role) => (
                <Button
                  key={role}
                  label={`${ROLE_WORDS[role].label}: ${ROLE_WORDS[role].note}`}
                  testID={`invite-${role}`}
                  onPress={() => invite.mutate(role)}
                />
              ))}
              {invite.isError ? <Notice tone="warn" title={invite.error.message} /> : null}
            </>
          )}
        </Sheet>
      ) : null}
    </View>
  );
}

/** What a browser withholds from a page over plain HTTP, and how to get it. */
function Missing() {
  if (globalThis.isSecureContext !== false) return null;
  return (
    <Notice tone="plain" title="What this phone cannot do here" testID="missing">
      The page came unencrypted from another machine, so the browser does not let it be installed or
      opened without the server. Everything else works. For that it needs encryption: start the
      server with “--tls” and let this phone trust the certificate that its sign-in page offers.
    </Notice>
  );
}
