import type {
  Account,
  AuditEvent,
  FromPasskey,
  Invitation,
  Invited,
  MemberRole,
  Membership,
  Page,
  Passkey,
  People,
  Strength,
} from '@snowdrift/core'
import type {
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser'
import { api } from './api'

/** What the server asks a browser for a passkey, and by what it knows the answer. */
export interface AskedForNew {
  readonly ceremony: string
  readonly options: PublicKeyCredentialCreationOptionsJSON
}

export interface Asked {
  readonly ceremony: string
  readonly options: PublicKeyCredentialRequestOptionsJSON
}

export interface NewPasskey {
  readonly passkey: FromPasskey
  readonly passkeyName: string
}

export type Proof = { readonly passphrase: string } | { readonly passkey: FromPasskey }

interface Joining {
  readonly token: string
  readonly signInName: string
  readonly name: string
  readonly device: string
}

interface Codes {
  readonly codes: readonly string[]
}

const eventsAtOnce = 30

/** People, where they sign in: how they come in, what they sign in by, and what they belong to. */
const peopleApi = api.injectEndpoints({
  endpoints: build => {
    const send = <Body, Answer = unknown>(
      method: string,
      url: string | ((body: Body) => string),
      hasBody = true,
    ) =>
      build.mutation<Answer, Body>({
        query: body => ({
          url: typeof url === 'string' ? url : url(body),
          method,
          ...(hasBody && body !== undefined && { body }),
        }),
        invalidatesTags: ['People'],
      })
    return {
      invited: build.query<Invited, string>({
        query: token => ({ url: '/enter/invitation', method: 'POST', body: { token } }),
      }),
      askToJoin: send<{ readonly token: string }, AskedForNew>('POST', '/enter/questions/new'),
      join: send<Joining & ({ readonly passphrase: string } | NewPasskey), Codes>('POST', '/enter/join'),
      weighPassphrase: build.mutation<
        Strength,
        { readonly passphrase: string; readonly own: readonly string[] }
      >({ query: body => ({ url: '/enter/strength', method: 'POST', body }) }),
      askToEnter: send<void, Asked>('POST', '/enter/questions'),
      enter: send<
        { readonly device: string } & (
          { readonly signInName: string; readonly passphrase: string } | { readonly passkey: FromPasskey }
        )
      >('POST', '/enter'),
      recover: send<{
        readonly signInName: string
        readonly code: string
        readonly passphrase: string
        readonly device: string
      }>('POST', '/enter/recover'),
      account: build.query<Account, void>({ query: () => '/account', providesTags: ['People'] }),
      renameMe: send<{ readonly name: string }>('PUT', '/account/name'),
      askToConfirm: send<void, Asked>('POST', '/account/questions'),
      confirm: send<Proof>('POST', '/account/confirm'),
      choosePassphrase: send<{ readonly passphrase: string }>('PUT', '/account/passphrase'),
      askForPasskey: send<void, AskedForNew>('POST', '/account/passkeys/questions'),
      addPasskey: send<NewPasskey, Passkey>('POST', '/account/passkeys'),
      removePasskey: send<string>('DELETE', id => `/account/passkeys/${id}`, false),
      makeCodes: send<void, Codes>('POST', '/account/codes'),
      signOutAt: send<string>('DELETE', id => `/account/sessions/${id}`, false),
      signOutEverywhere: send<void>('DELETE', '/account/sessions'),
      joinAlso: send<{ readonly token: string }>('POST', '/account/join'),
      enterWorkshop: send<string, Membership>('PUT', id => `/account/workshop/${id}`, false),
      deleteAccount: send<void>('DELETE', '/account'),
      people: build.query<People, void>({ query: () => '/people', providesTags: ['People'] }),
      invite: send<
        { readonly role: MemberRole },
        { readonly invitation: Invitation; readonly token: string }
      >('POST', '/people/invitations'),
      withdrawInvitation: send<string>('DELETE', id => `/people/invitations/${id}`, false),
      setRole: build.mutation<unknown, { readonly id: string; readonly role: MemberRole }>({
        query: ({ id, role }) => ({ url: `/people/${id}/role`, method: 'PUT', body: { role } }),
        invalidatesTags: ['People'],
      }),
      sendPersonAway: send<string>('DELETE', id => `/people/${id}`, false),
      renameWorkshop: send<{ readonly name: string }>('PUT', '/people/workshop'),
      audit: build.infiniteQuery<Page<AuditEvent>, void, string>({
        infiniteQueryOptions: {
          initialPageParam: '',
          getNextPageParam: last => last.next ?? undefined,
        },
        query: ({ pageParam }) =>
          `/people/audit?limit=${eventsAtOnce}${pageParam === '' ? '' : `&after=${pageParam}`}`,
        providesTags: ['People'],
      }),
    }
  },
})

export const {
  useInvitedQuery,
  useAskToJoinMutation,
  useJoinMutation,
  useWeighPassphraseMutation,
  useAskToEnterMutation,
  useEnterMutation,
  useRecoverMutation,
  useAccountQuery,
  useRenameMeMutation,
  useAskToConfirmMutation,
  useConfirmMutation,
  useChoosePassphraseMutation,
  useAskForPasskeyMutation,
  useAddPasskeyMutation,
  useRemovePasskeyMutation,
  useMakeCodesMutation,
  useSignOutAtMutation,
  useSignOutEverywhereMutation,
  useJoinAlsoMutation,
  useEnterWorkshopMutation,
  useDeleteAccountMutation,
  usePeopleQuery,
  useInviteMutation,
  useWithdrawInvitationMutation,
  useSetRoleMutation,
  useSendPersonAwayMutation,
  useRenameWorkshopMutation,
  useAuditInfiniteQuery,
} = peopleApi
